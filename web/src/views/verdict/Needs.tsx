import type { JudgementView } from '@urvek/study';
import { Empty } from '../../components/States.tsx';
import type { SetupForm } from '../kit/form.ts';
import { Costs } from './Costs.tsx';
import { NeedsForm } from './NeedsForm.tsx';
import * as phrases from './phrases.ts';

/** Uses against what was found, and the uses themselves. */
export function Needs({ form, judged }: { form: SetupForm; judged: JudgementView }) {
  return (
    <div className="grid gap-4">
      {judged.needs.length === 0 && <Empty title={phrases.noNeedIsEntered}>{phrases.aNeedIsAUseWith}</Empty>}
      <Costs form={form} judged={judged} />
      <NeedsForm form={form} />
    </div>
  );
}
