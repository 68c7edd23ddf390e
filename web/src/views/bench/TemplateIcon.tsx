import { MicVocal, MonitorPlay, Podcast, RadioTower, RouterIcon, Speaker, ToggleRight } from 'lucide-react';

const ICON: Readonly<Record<string, typeof Speaker>> = {
  'video-link': MonitorPlay,
  microphone: MicVocal,
  speaker: Speaker,
  router: RouterIcon,
  remote: ToggleRight,
  'two-way-radio': RadioTower,
};

/** The kind of product that a question is about. */
export function TemplateIcon({ kindId }: { kindId: string }) {
  const Icon = ICON[kindId] ?? Podcast;
  return <Icon aria-hidden size={22} className="shrink-0" />;
}
