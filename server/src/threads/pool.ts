import { Piscina } from 'piscina';
import { InterchangeError } from '@urvek/contract';
import { Conflict, NotFound, Unavailable, Unstorable } from '../storage/port.ts';
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
const MOST_MEMORY_MB = 1500;

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
        resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
      });
      const outcome = (await pool.run(work, { signal }).catch((error: Error & { code?: string }) => {
        throw error.code === 'ERR_WORKER_OUT_OF_MEMORY'
          ? new InterchangeError('it needs more memory than there is for it')
          : error;
      })) as Outcome;
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
  for (const known of [InterchangeError, NotFound, Conflict, Unavailable, Unstorable] as const)
    if (name === known.name) return new known(message);
  return new Error(message);
}
