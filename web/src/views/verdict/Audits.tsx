import type { AuditEntry } from '@urvek/study';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Empty, Trouble } from '../../components/States.tsx';
import type { SetupForm } from '../kit/form.ts';
import { AuditList } from './AuditList.tsx';
import { Quoted } from './Quoted.tsx';
import { useAcknowledge } from './useAcknowledge.ts';

/** What could make the comparison unfair, and what contradicts itself. */
export function Audits({
  workspace,
  form,
  audits,
}: {
  workspace: Ready;
  form: SetupForm;
  audits: readonly AuditEntry[];
}) {
  const { acknowledge, reopen, error } = useAcknowledge(workspace.comparison);
  const of = (audit: AuditEntry['audit']): AuditEntry[] =>
    audits
      .filter((a) => a.audit === audit)
      .sort((a, b) => Number(a.acknowledged !== undefined) - Number(b.acknowledged !== undefined));
  const acting = workspace.sealed ? {} : { onAcknowledge: acknowledge, onReopen: reopen };
  const [fairness, consistency] = [of('fairness'), of('consistency')];
  return (
    <div className="grid gap-4">
      {error && <Trouble error={error} />}
      {audits.length === 0 && (
        <Empty title="Nothing found">
          The audits compare set-ups, days, orders and what was entered; they find nothing to question here.
        </Empty>
      )}
      {fairness.length > 0 && (
        <section className="sheet p-4" aria-label="Fairness">
          <h2>Fairness</h2>
          <p className="mb-2 text-[0.87rem] text-faint">
            First what could change a verdict by its size, then what is of unknown size.
          </p>
          <AuditList audits={fairness} {...acting} />
        </section>
      )}
      {consistency.length > 0 && (
        <section className="sheet p-4" aria-label="Consistency">
          <h2>Consistency</h2>
          <div className="mt-2">
            <AuditList audits={consistency} {...acting} />
          </div>
        </section>
      )}
      <Quoted form={form} />
    </div>
  );
}
