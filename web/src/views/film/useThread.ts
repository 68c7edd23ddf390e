import { useCallback, useEffect, useRef, useState } from 'react';

export interface Thread {
  /** Share that was done; undefined: nothing goes on. */
  readonly share: number | undefined;
  readonly error: Error | undefined;
  /** Ends what goes on, and begins this in a worker of its own; progress is told as a share. */
  readonly start: (work: (worker: Worker, told: (share: number) => void) => Promise<void>) => void;
  readonly cancel: () => void;
}

/** Long work on a recording, in a worker; cancelled by ending it. */
export function useThread(): Thread {
  const worker = useRef<Worker>(undefined);
  const [share, setShare] = useState<number>();
  const [error, setError] = useState<Error>();
  const cancel = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
    setShare(undefined);
  }, []);
  useEffect(() => cancel, [cancel]);
  return {
    share,
    error,
    cancel,
    start: (work) => {
      cancel();
      setError(undefined);
      setShare(0);
      const own = new Worker(new URL('../../workers/detect.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      const current = (): boolean => worker.current === own;
      work(own, (done) => current() && setShare(done))
        .catch((cause: unknown) => current() && setError(cause as Error))
        .finally(() => current() && cancel());
    },
  };
}
