import type { AuditEntry } from '@urvek/study';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Empty, Trouble } from '../../components/States.tsx';
import type { SetupForm } from '../kit/form.ts';
import { AuditList } from './AuditList.tsx';
import { Quoted } from './Quoted.tsx';
import { useAcknowledge } from './useAcknowledge.ts';
import * as phrases from './phrases.ts';

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
        <Empty title={phrases.nothingFound}>{phrases.theAuditsCompareSetUpsDays}</Empty>
      )}
      {fairness.length > 0 && (
        <section className="sheet p-4" aria-label={phrases.fairness}>
          <h2>{phrases.fairness}</h2>
          <p className="mb-2 text-[0.87rem] text-faint">{phrases.firstWhatCouldChangeAVerdict}</p>
          <AuditList audits={fairness} {...acting} />
        </section>
      )}
      {consistency.length > 0 && (
        <section className="sheet p-4" aria-label={phrases.consistency}>
          <h2>{phrases.consistency}</h2>
          <div className="mt-2">
            <AuditList audits={consistency} {...acting} />
          </div>
        </section>
      )}
      <Quoted form={form} />
    </div>
  );
}
