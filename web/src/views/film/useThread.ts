import * as Comlink from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { DetectWorker } from '../../workers/detect.worker.ts';
import type { Told } from '../../workers/progress.ts';

export interface Thread {
  /** Share that was done; undefined: nothing goes on. */
  readonly share: number | undefined;
  /** Share that was done on an earlier visit, or before it was cancelled: from there it went on. */
  readonly wentOn: number | undefined;
  readonly error: Error | undefined;
  /** Ends what goes on, and begins this in a worker of its own; progress is told as a share. */
  readonly start: (work: (worker: Worker, told: Told) => Promise<void>) => void;
  readonly cancel: () => void;
  /** It rests where it is. */
  readonly held: boolean;
  readonly hold: (held: boolean) => void;
}

/** What a person sees and steers of it. */
export type ThreadState = Omit<Thread, 'start'>;

/** Long work on a recording, in a worker; cancelled by ending it. */
export function useThread(): Thread {
  const worker = useRef<Worker>(undefined);
  const [share, setShare] = useState<number>();
  const [wentOn, setWentOn] = useState<number>();
  const [held, setHeld] = useState(false);
  const [error, setError] = useState<Error>();
  const cancel = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
    setShare(undefined);
    setHeld(false);
  }, []);
  useEffect(() => cancel, [cancel]);
  return {
    share,
    wentOn,
    error,
    cancel,
    held,
    hold: (rest) => {
      const own = worker.current;
      if (!own) return;
      setHeld(rest);
      const thread = Comlink.wrap<DetectWorker>(own);
      void (rest ? thread.hold() : thread.goOn());
    },
    start: (work) => {
      cancel();
      setError(undefined);
      setShare(0);
      setWentOn(undefined);
      const own = new Worker(new URL('../../workers/detect.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      const current = (): boolean => worker.current === own;
      const told: Told = (done, on) => {
        if (!current()) return;
        setShare(done);
        if (on) setWentOn(done);
      };
      work(own, told)
        .catch((cause: unknown) => current() && setError(cause as Error))
        .finally(() => current() && cancel());
    },
  };
}
