import { useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Empty } from '../../components/States.tsx';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import { Begin } from './Begin.tsx';
import { LiveWalk } from './LiveWalk.tsx';
import { subjectOf } from './subject.ts';
import { Unfinished } from './Unfinished.tsx';

export const Walk = () => (
  <WithWorkspace>
    {(workspace) => (
      <OneTab>
        <WalkStage {...workspace} />
      </OneTab>
    )}
  </WithWorkspace>
);

/** One tab holds the log: a second one says so instead of writing beside it. */
export function OneTab({ children }: { children: ReactNode }) {
  const [held, setHeld] = useState<boolean>();
  useEffect(() => {
    const gone = new AbortController();
    let release = (): void => {};
    // A tab that left the walk frees the log a moment later: the one that waits takes it over then.
    const hold = (): Promise<void> =>
      gone.signal.aborted
        ? Promise.resolve()
        : new Promise<void>((resolve) => {
            release = resolve;
            setHeld(true);
          });
    const taken = (): void => undefined;
    void navigator.locks.request('urvek-walk', { ifAvailable: true }, (lock) => {
      if (lock) return hold();
      if (!gone.signal.aborted) setHeld(false);
      navigator.locks.request('urvek-walk', { signal: gone.signal }, hold).catch(taken);
      return undefined;
    });
    return () => {
      gone.abort();
      release();
    };
  }, []);
  if (held === undefined) return null;
  if (!held)
    return (
      <Stage title="Walk">
        <Empty title="Another tab holds the log">
          Walk on there, or close it: then this one takes over. Nothing is lost.
        </Empty>
      </Stage>
    );
  return children;
}

function WalkStage(workspace: Ready) {
  const { id, comparison } = workspace;
  const [live, setLive] = useState<string>();
  const openWalks = useFieldLog(() => fieldLog.underWay(live), `under-way ${live}`);
  if (!openWalks) return null;
  const open = openWalks.find((w) => w.comparisonId === id);
  const elsewhere = openWalks.find((w) => w.comparisonId !== id);
  if (open && live === open.id)
    return <LiveWalk comparison={comparison} subject={subjectOf(comparison, open)} kept={open} />;
  if (open) return <Unfinished comparison={comparison} kept={open} onResume={() => setLive(open.id)} />;
  if (elsewhere)
    return (
      <Stage title="Walk">
        <Empty title="A walk of another comparison is not finished">
          Finish it first:{' '}
          <Link
            className="underline"
            to={elsewhere.comparisonId === UNFILED ? '/walk-now' : `/c/${elsewhere.comparisonId}/walk`}
          >
            go to it
          </Link>
          .
        </Empty>
      </Stage>
    );
  return <Begin workspace={workspace} onBegin={setLive} />;
}
