import type { Setup } from '@urvek/contract';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Loading, Trouble } from '../../components/States.tsx';
import { AuditList } from '../verdict/AuditList.tsx';
import { useAcknowledge } from '../verdict/useAcknowledge.ts';
import { usePlanned } from './usePlanned.ts';

/** The audits on the plan as it stands: mending costs nothing yet. */
export function PlanAudit({ workspace, setup }: { workspace: Ready; setup: Setup }) {
  const { acknowledge, reopen, error } = useAcknowledge(workspace.comparison);
  const audits = usePlanned(workspace, 'planAudit', setup);
  return (
    <section className="sheet p-4" aria-label="Fairness of the plan">
      <h2>Is it fair?</h2>
      {error && <Trouble error={error} />}
      {!audits ? (
        <Loading what="the audit" />
      ) : audits.length === 0 ? (
        <p>The audit finds nothing to question in what is planned and walked so far.</p>
      ) : (
        <div className="mt-2">
          <AuditList audits={audits} onAcknowledge={acknowledge} onReopen={reopen} />
        </div>
      )}
    </section>
  );
}
