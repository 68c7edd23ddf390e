import type { JudgementView } from '@urvek/study';
import { Empty } from '../../components/States.tsx';
import type { SetupForm } from '../kit/form.ts';
import { Costs } from './Costs.tsx';
import { NeedsForm } from './NeedsForm.tsx';

/** Uses against what was found, and the uses themselves. */
export function Needs({ form, judged }: { form: SetupForm; judged: JudgementView }) {
  return (
    <div className="grid gap-4">
      {judged.needs.length === 0 && (
        <Empty title="No need is entered">
          A need is a use with a distance, a condition and a criterion. Take one from the list below, or write
          your own.
        </Empty>
      )}
      <Costs form={form} judged={judged} />
      <NeedsForm form={form} />
    </div>
  );
}
