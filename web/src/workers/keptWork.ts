import { restoreDetector, type DetectorState } from '@urvek/core';
import { Dexie, type EntityTable } from 'dexie';
import { nowMs } from '../field/time.ts';
import type { Turnstile } from './turnstile.ts';

/** Kept this often while it goes on, and when it is held, ms. */
const KEEP_EVERY_MS = 4000;
/** What nobody has gone on with for so long is forgotten, ms: 30 days. */
const FORGET_MS = 30 * 86_400_000;

/** How far work on a recording came, s of the recording, and what it knew then. */
export interface Left<Known> {
  readonly toS: number;
  readonly known: Known;
}

/** What a detector knows of a track that was gone through in part, or what was found in all of it. */
export type Gone<Found> = { readonly state: DetectorState } | { readonly found: Found };

/** The detector as it was left; undefined where what was kept is of another form. */
export function goneOn<D extends object>(detector: D, state: DetectorState): D | undefined {
  try {
    restoreDetector(detector, state);
    return detector;
  } catch {
    return undefined;
  }
}

/**
 * What was found in a track before, or the detector that goes through its frames and the last one that it saw, s;
 * undefined where it begins.
 */
export async function framesLeft<Found, D extends object>(
  work: KeptWork<Gone<Found>>,
  make: () => D,
): Promise<{ readonly found: Found } | { readonly detector: D; readonly lastS: number | undefined }> {
  const left = await work.left();
  if (!left) return { detector: make(), lastS: undefined };
  if ('found' in left.known) return { found: left.known.found };
  const detector = goneOn(make(), left.known.state);
  return detector ? { detector, lastS: left.toS } : { detector: make(), lastS: undefined };
}

class KeptWorks extends Dexie {
  declare works: EntityTable<Left<unknown> & { key: string; atMs: number }, 'key'>;

  constructor() {
    super('urvek-recordings');
    this.version(1).stores({ works: 'key, atMs' });
  }
}
const kept = new KeptWorks();

/** Long work on one track of a recording, which goes on where it was left though the page was closed meanwhile. */
export class KeptWork<Known> {
  private readonly key: string;
  private keptMs = nowMs();

  /**
   * @param digest of the recording
   * @param what is looked for in it, and how: other work begins by itself
   */
  constructor(
    private readonly gate: Turnstile,
    digest: string,
    what: string,
  ) {
    // What an earlier version of this program knew may be of another form: its name is told by its contents.
    this.key = [digest, what, self.location.pathname].join(' ');
  }

  /** Where it was left; undefined where it begins, and where this browser keeps nothing. */
  async left(): Promise<Left<Known> | undefined> {
    try {
      await kept.works
        .where('atMs')
        .below(nowMs() - FORGET_MS)
        .delete();
      return (await kept.works.get(this.key)) as Left<Known> | undefined;
    } catch {
      return undefined;
    }
  }

  /** Before the next piece: keeps what is known now and then, and rests while it is held. */
  async pass(toS: number, known: () => Known): Promise<void> {
    await this.gate.listen();
    if (this.gate.held || nowMs() - this.keptMs > KEEP_EVERY_MS) await this.keep(toS, known());
    await this.gate.pass();
  }

  async keep(toS: number, known: Known): Promise<void> {
    this.keptMs = nowMs();
    // A device whose storage is full goes on: after a reload it begins anew.
    await kept.works.put({ key: this.key, atMs: nowMs(), toS, known }).catch(() => undefined);
  }
}
