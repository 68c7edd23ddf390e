import type { Setup } from '@urvek/contract';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Loading, Trouble } from '../../components/States.tsx';
import { AuditList } from '../verdict/AuditList.tsx';
import { useAcknowledge } from '../verdict/useAcknowledge.ts';
import { usePlanned } from './usePlanned.ts';
import * as phrases from './phrases.ts';

/** The audits on the plan as it stands: mending costs nothing yet. */
export function PlanAudit({ workspace, setup }: { workspace: Ready; setup: Setup }) {
  const { acknowledge, reopen, error } = useAcknowledge(workspace.comparison);
  const audits = usePlanned(workspace, 'planAudit', setup);
  return (
    <section className="sheet p-4" aria-label={phrases.fairnessOfThePlan}>
      <h2>{phrases.isItFair}</h2>
      {error && <Trouble error={error} />}
      {!audits ? (
        <Loading what={phrases.theAudit} />
      ) : audits.length === 0 ? (
        <p>{phrases.theAuditFindsNothingToQuestion}</p>
      ) : (
        <div className="mt-2">
          <AuditList audits={audits} onAcknowledge={acknowledge} onReopen={reopen} />
        </div>
      )}
    </section>
  );
}
