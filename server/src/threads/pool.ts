import { Piscina } from 'piscina';
import { BadEvent, InterchangeError } from '@urvek/contract';
import { Conflict, NotFound } from '../storage/port.ts';
import type { Work } from './work.ts';

/** Work that would hold up a request: done in threads, which live a while after their last work and cost nothing before the first. */
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
      try {
        return (await pool.run(work, { signal })) as T;
      } catch (error) {
        throw restored(error);
      }
    },
    async close() {
      await pool?.destroy();
    },
  };
}

/** An error that crossed from a thread has lost its class; its name says which it was. */
function restored(error: unknown): unknown {
  const { name, message } = error as Error;
  for (const known of [InterchangeError, NotFound, Conflict] as const)
    if (name === known.name) return new known(message);
  return name === BadEvent.name ? new InterchangeError(message) : error;
}
