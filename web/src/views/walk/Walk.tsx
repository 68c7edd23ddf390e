import { useEffect, useState, type ReactNode } from 'react';
import { Stage } from '../../components/Stage.tsx';
import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { Empty } from '../../components/States.tsx';
import { WalkStage } from './WalkStage.tsx';
import * as phrases from './phrases.ts';

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
      <Stage title={phrases.walk}>
        <Empty title={phrases.anotherTabHoldsTheLog}>{phrases.walkOnThereOrCloseIt}</Empty>
      </Stage>
    );
  return children;
}
