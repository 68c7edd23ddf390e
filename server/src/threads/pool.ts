import { Piscina } from 'piscina';
import { InterchangeError } from '@urvek/contract';
import { Conflict, NotFound, Unavailable } from '../storage/port.ts';
import type { Outcome, Work } from './work.ts';

/**
 * Work that would hold up a request: done in threads, which live a while after their last work and cost
 * nothing before the first.
 */
export interface Threads {
  run<T>(work: Work, signal?: AbortSignal): Promise<T>;
  close(): Promise<void>;
}

const IDLE_MS = 30_000;
const MOST_THREADS = 2;

export function openThreads(): Threads {
  let pool: Piscina | undefined;
  return {
    async run<T>(work: Work, signal?: AbortSignal): Promise<T> {
      pool ??= new Piscina({
        filename: new URL('./thread.mjs', import.meta.url).href,
        minThreads: 0,
        maxThreads: MOST_THREADS,
        idleTimeout: IDLE_MS,
        // Without the flags of the process: a test runner's do not suit a thread.
        execArgv: [],
      });
      const outcome = (await pool.run(work, { signal })) as Outcome;
      if (outcome.ok) return outcome.value as T;
      throw restored(outcome);
    },
    async close() {
      await pool?.destroy();
    },
  };
}

/** An error under its own class again, where the answer to a request depends on it. */
function restored({ name, message }: { readonly name: string; readonly message: string }): Error {
  for (const known of [InterchangeError, NotFound, Conflict, Unavailable] as const)
    if (name === known.name) return new known(message);
  return new Error(message);
}
