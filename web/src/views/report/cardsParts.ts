import type { JudgementView } from '@urvek/study';
import type { Ready } from '../../components/WithWorkspace.tsx';

export interface About {
  readonly workspace: Ready;
  readonly judged: JudgementView;
  readonly simulated: boolean;
}
