import type { WalkRow } from '@urvek/study';
import { format } from 'date-fns';
import { Link, Navigate, useLocation, useParams } from 'react-router';
import { useLog, useStudy } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { LensBar } from '../../components/LensBar.tsx';
import { Loading, Empty, Trouble } from '../../components/States.tsx';
import { useLens } from '../../state/lens.ts';
import { FailedChecks } from './FailedChecks.tsx';
import { PointedWalk } from './PointedWalk.tsx';
import { WalkList } from './WalkList.tsx';

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
  const { data: finding, error } = useStudy(
    workspace,
    ['finding', row?.walkId],
    (study, of) => study.finding(of, (row as WalkRow).walkId),
    row !== undefined,
  );
  const whole = useLog(row?.walkId);
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
  if (!finding || !whole || finding.walkId !== row.walkId) return <Loading what="the walk" />;
  return (
    <Stage
      title={`Trace: ${finding.product} on ${finding.path.name}, walk ${finding.label}`}
      lead={
        <>
          {finding.header.undated ? 'day not stated' : format(finding.header.startedMs, 'd MMMM yyyy, HH:mm')}
          ; {finding.trace.endReason ? `ended: ${finding.trace.endReason}` : 'still under way'};{' '}
          {finding.trace.direction}
          {finding.trace.inwards && ', coming in from out of reach'}
          {finding.trace.begin.body.simulatedSeed !== undefined && '; simulated gear'}
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
        <WalkList id={id} walks={looked.length > 0 ? looked : walks} current={finding.walkId} />
        <div className="grid min-w-0 content-start gap-4">
          {finding.leftOut !== undefined && (
            <p role="status" className="border-l-4 border-degraded bg-sheet p-2">
              <strong>Left out of every result:</strong> {finding.leftOut}
            </p>
          )}
          <FailedChecks
            finding={finding}
            kindId={comparison.setup.products.find((p) => p.id === finding.header.productId)?.kindId}
          />
          <PointedWalk
            key={finding.walkId}
            workspace={workspace}
            finding={finding}
            whole={whole}
            walks={walks}
          />
        </div>
      </div>
    </Stage>
  );
}
