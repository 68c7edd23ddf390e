import { travelledGround, walkLanes } from '@urvek/draw';
import { Link } from 'react-router';
import { useAnswer } from '../../api/study.ts';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Tape } from '../../components/Tape.tsx';
import { walkOn } from './discard.ts';
import * as phrases from './phrases.ts';

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
    <section className="sheet mb-3 px-3 py-1" aria-label={phrases.theWalkThatHasJustEnded}>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <strong>{phrases.onWalk(finding.product, finding.path.name, finding.label)}</strong>
        {phrases.ended}
        {finding.trace.endReason}
        <button
          type="button"
          className="btn btn-quiet min-h-11"
          onClick={() => void walkOn(walkId).then(() => onWalkOn(walkId))}
        >
          {phrases.itHasNotEndedWalkOn}
        </button>
        <Link className="underline" to={`/c/${workspace.id}/trace/${walkId}`}>
          {phrases.itsTrace}
        </Link>
      </p>
      <Tape
        title={phrases.walkOfOnTheTape(finding.label, finding.product)}
        ground={travelledGround(finding.path)}
        measure="travelled"
        lanes={walkLanes(finding.trace, 'out', 'walk')}
      />
    </section>
  );
}
