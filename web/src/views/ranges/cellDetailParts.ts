import type { JudgementView, PathCurves, RangeView } from '@urvek/study';
import type { Ready } from '../../components/WithWorkspace.tsx';

export interface Shown {
  readonly workspace: Ready;
  readonly range: RangeView;
  readonly curves: PathCurves | undefined;
  readonly judged: JudgementView;
}
