import { travelledGround, walkLanes } from '@urvek/draw';
import { Link } from 'react-router';
import { useAnswer } from '../../api/study.ts';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Tape } from '../../components/Tape.tsx';
import { walkOn } from './discard.ts';

/** The walk that has just ended, on the tape, above the next one. */
export function JustWalked({
  workspace,
  walkId,
  onWalkOn,
}: {
  workspace: Ready;
  walkId: string;
  onWalkOn: (walkId: string) => void;
}) {
  const { data: finding } = useAnswer(workspace, { ask: 'finding', walkId });
  if (!finding) return null;
  return (
    <section className="sheet mb-3 px-3 py-1" aria-label="The walk that has just ended">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <strong>
          {finding.product} on {finding.path.name}, walk {finding.label}
        </strong>
        ended: {finding.trace.endReason}
        <button
          type="button"
          className="btn btn-quiet min-h-11"
          onClick={() => void walkOn(walkId).then(() => onWalkOn(walkId))}
        >
          it has not ended: walk on
        </button>
        <Link className="underline" to={`/c/${workspace.id}/trace/${walkId}`}>
          its trace
        </Link>
      </p>
      <Tape
        title={`Walk ${finding.label} of ${finding.product} on the tape`}
        ground={travelledGround(finding.path)}
        measure="travelled"
        lanes={walkLanes(finding.trace, 'out', 'walk')}
      />
    </section>
  );
}
