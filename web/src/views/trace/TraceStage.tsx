import { format } from 'date-fns';
import { lazy, Suspense } from 'react';
import { Link, Navigate, useLocation, useParams } from 'react-router';
import { useLog } from '../../api/queries.ts';
import { useAnswer } from '../../api/study.ts';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { LensBar } from '../../components/LensBar.tsx';
import { Loading, Empty, Trouble } from '../../components/States.tsx';
import { useLens } from '../../state/lens.ts';
import { FailedChecks } from './FailedChecks.tsx';
import { WalkList } from './WalkList.tsx';
import * as phrases from './phrases.ts';

/** The walk itself comes after the list: it brings films and tables along. */
const PointedWalk = lazy(async () => ({ default: (await import('./PointedWalk.tsx')).PointedWalk }));

const NO_BANDS = {};

/** Walks by path, and the one that is selected. */
export function TraceStage(workspace: Ready) {
  const { id, comparison } = workspace;
  // Of what another device logged there is no trace here.
  const walks = workspace.walks.filter((w) => !w.withheld);
  const { walkId } = useParams();
  const { search } = useLocation();
  const [lens] = useLens();
  const kinds = new Map(comparison.setup.products.map((p) => [p.id, p.kindId]));
  const looked = walks.filter(
    ({ header: { productId, pathId } }) =>
      (lens.productId ?? productId) === productId &&
      (lens.pathId ?? pathId) === pathId &&
      (lens.kindId === undefined || lens.kindId === kinds.get(productId)),
  );
  // The walk that is asked for, and no other in its stead; where none is, the last one that counts.
  const row =
    walkId === undefined
      ? (looked.findLast((w) => w.leftOut === undefined) ??
        walks.findLast((w) => w.leftOut === undefined) ??
        walks.at(-1))
      : walks.find((w) => w.walkId === walkId);
  const { data: bands = NO_BANDS } = useAnswer(workspace, { ask: 'bands' });
  const { data: finding, error } = useAnswer(
    workspace,
    { ask: 'finding', walkId: row?.walkId ?? '' },
    row !== undefined,
  );
  const whole = useLog(row?.walkId);
  // Which one is the last is not known yet.
  if (walkId === undefined && workspace.settling) return <Loading what={phrases.theWalks} />;
  if (!row && walkId !== undefined)
    return (
      <Stage title={phrases.trace}>
        <Empty title={phrases.thisWalkIsNotHereYet}>
          {phrases.itComesWithTheNextExchange}
          <Link className="underline" to={`/c/${id}/trace`}>
            {phrases.theWalksThatAreHere}
          </Link>
          .
        </Empty>
      </Stage>
    );
  if (!row)
    return (
      <Stage title={phrases.trace}>
        <Empty title={phrases.noWalkYet}>
          {phrases.aTraceIsWorkedOutFrom}
          <Link className="underline" to={`/c/${id}/walk`}>
            {phrases.makeOne}
          </Link>
          {phrases.or}
          <Link className="underline" to={`/c/${id}/import-sheet`}>
            {phrases.takeWalksFromATable}
          </Link>
          {phrases.or}
          <Link className="underline" to={`/c/${id}/notebook`}>
            {phrases.writeOneDown}
          </Link>
          .
        </Empty>
      </Stage>
    );
  // The address names the walk: it stays the one that is looked at, whatever becomes of it.
  if (walkId === undefined)
    return <Navigate replace to={{ pathname: `/c/${id}/trace/${row.walkId}`, search }} />;
  if (error) return <Trouble error={error} />;
  const { header } = row;
  return (
    <Stage
      title={phrases.traceOnWalk(row.product, row.path, row.label)}
      lead={
        <>
          {header.undated ? phrases.dayNotStated : format(header.startedMs, 'd MMMM yyyy, HH:mm')};{' '}
          {row.endReason ? phrases.ended(row.endReason) : phrases.stillUnderWay}; {row.direction}
          {finding?.trace.inwards && phrases.comingInFromOutOfReach}
          {row.simulated && phrases.simulatedGear}
        </>
      }
      actions={
        <>
          <Link className="btn" to={`/c/${id}/notebook`}>
            {phrases.writeAWalkDown}
          </Link>
          <Link className="btn" to={`/c/${id}/film`}>
            {phrases.logFromARecording}
          </Link>
          <Link className="btn" to={`/c/${id}/import-sheet`}>
            {phrases.walksFromATable}
          </Link>
        </>
      }
    >
      <LensBar setup={comparison.setup} />
      <div className="grid gap-4 lg:grid-cols-[216px_1fr]">
        <WalkList id={id} walks={looked.length > 0 ? looked : walks} bands={bands} current={row.walkId} />
        <div className="grid min-w-0 content-start gap-4">
          {row.leftOut !== undefined && (
            <p role="status" className="border-l-4 border-degraded bg-sheet p-2">
              <strong>{phrases.leftOutOfEveryResult}</strong> {row.leftOut}
            </p>
          )}
          {finding && whole && finding.walkId === row.walkId ? (
            <>
              <FailedChecks
                finding={finding}
                kindId={comparison.setup.products.find((p) => p.id === header.productId)?.kindId}
              />
              <Suspense fallback={<Loading what={phrases.theWalk} />}>
                <PointedWalk key={row.walkId} {...{ workspace, finding, whole, walks }} />
              </Suspense>
            </>
          ) : (
            <Loading what={phrases.theWalk} />
          )}
        </div>
      </div>
    </Stage>
  );
}
