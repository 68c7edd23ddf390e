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

/** The walk itself comes after the list: it brings films and tables along. */
const PointedWalk = lazy(async () => ({ default: (await import('./PointedWalk.tsx')).PointedWalk }));

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
  const { data: finding, error } = useAnswer(
    workspace,
    { ask: 'finding', walkId: row?.walkId ?? '' },
    row !== undefined,
  );
  const whole = useLog(row?.walkId);
  // Which one is the last is not known yet.
  if (walkId === undefined && workspace.settling) return <Loading what="the walks" />;
  if (!row && walkId !== undefined)
    return (
      <Stage title="Trace">
        <Empty title="This walk is not here yet">
          It comes with the next exchange between this device and the base.{' '}
          <Link className="underline" to={`/c/${id}/trace`}>
            The walks that are here
          </Link>
          .
        </Empty>
      </Stage>
    );
  if (!row)
    return (
      <Stage title="Trace">
        <Empty title="No walk yet">
          A trace is worked out from the log of a walk:{' '}
          <Link className="underline" to={`/c/${id}/walk`}>
            make one
          </Link>
          , or{' '}
          <Link className="underline" to={`/c/${id}/import-sheet`}>
            take walks from a table
          </Link>
          , or{' '}
          <Link className="underline" to={`/c/${id}/notebook`}>
            write one down
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
      title={`Trace: ${row.product} on ${row.path}, walk ${row.label}`}
      lead={
        <>
          {header.undated ? 'day not stated' : format(header.startedMs, 'd MMMM yyyy, HH:mm')};{' '}
          {row.endReason ? `ended: ${row.endReason}` : 'still under way'}; {row.direction}
          {finding?.trace.inwards && ', coming in from out of reach'}
          {row.simulated && '; simulated gear'}
        </>
      }
      actions={
        <>
          <Link className="btn" to={`/c/${id}/notebook`}>
            Write a walk down
          </Link>
          <Link className="btn" to={`/c/${id}/film`}>
            Log from a recording
          </Link>
          <Link className="btn" to={`/c/${id}/import-sheet`}>
            Walks from a table
          </Link>
        </>
      }
    >
      <LensBar setup={comparison.setup} />
      <div className="grid gap-4 lg:grid-cols-[216px_1fr]">
        <WalkList id={id} walks={looked.length > 0 ? looked : walks} current={row.walkId} />
        <div className="grid min-w-0 content-start gap-4">
          {row.leftOut !== undefined && (
            <p role="status" className="border-l-4 border-degraded bg-sheet p-2">
              <strong>Left out of every result:</strong> {row.leftOut}
            </p>
          )}
          {finding && whole && finding.walkId === row.walkId ? (
            <>
              <FailedChecks
                finding={finding}
                kindId={comparison.setup.products.find((p) => p.id === header.productId)?.kindId}
              />
              <Suspense fallback={<Loading what="the walk" />}>
                <PointedWalk key={row.walkId} {...{ workspace, finding, whole, walks }} />
              </Suspense>
            </>
          ) : (
            <Loading what="the walk" />
          )}
        </div>
      </div>
    </Stage>
  );
}
