import type { WalkRow } from '@urvek/study';
import { Ask } from './Ask.tsx';

type Gear = 'real' | 'simulated';

/** What real and simulated walks beside each other would mean; undefined where they do not meet. */
export function mixingOf(walks: readonly WalkRow[], gear: Gear): string | undefined {
  const counting = walks.filter((w) => w.endReason !== undefined && w.leftOut === undefined && !w.withheld);
  const [real, simulated] = [
    counting.filter((w) => !w.simulated).length,
    counting.filter((w) => w.simulated).length,
  ];
  if (gear === 'simulated' && real > 0)
    return `Walks with real gear: ${real}. A simulated one beside them is a rehearsal, and in no result.`;
  if (gear === 'real' && simulated > 0)
    return [
      `Walks with simulated gear: ${simulated}.`,
      'Once a real one is finished they are rehearsals, and in no result.',
    ].join(' ');
  return undefined;
}

const WITH: Readonly<Record<Gear, string>> = {
  real: 'Begin with real gear',
  simulated: 'Rehearse with simulated gear',
};

/** Asked before the first walk of the other sort begins. */
export const Mixing = ({
  meaning,
  onBegin,
  onCancel,
}: {
  meaning: string;
  onBegin: (gear: Gear) => void;
  onCancel: () => void;
}) => (
  <Ask
    title={meaning}
    choices={Object.values(WITH)}
    onChoose={(choice) => onBegin(choice === WITH.real ? 'real' : 'simulated')}
    onCancel={onCancel}
  />
);
