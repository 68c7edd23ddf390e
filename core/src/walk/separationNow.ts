import type { Path } from '../geometry/path.ts';
import { separationAtM } from '../geometry/separation.ts';
import type { WalkEvent } from '../log/event.ts';
import { WALKING_MPS } from '../quantity/pace.ts';
import { traceWalk } from './trace.ts';

/** Where an end is from the other while a walk goes on, and its standard uncertainty, m. */
export interface SeparationNow {
  readonly m: number;
  readonly uM: number;
}

/** What places: of the rest of a log nothing is asked. */
const PLACING: ReadonlySet<WalkEvent['kind']> = new Set([
  'begin',
  'mark',
  'fix',
  'turn',
  'fixedEnd',
  'correction',
]);
/** So many entries that place are looked at: the last of them tells. */
const LAST = 40;
/** After the last place an end may have gone on, or back, at a walker's pace: as likely to be anywhere in between. */
const UNSEEN = WALKING_MPS / Math.sqrt(3);

/**
 * Separation at a moment of a walk under way, by the last reading of wheel, location or mark. Its uncertainty grows
 * with the time since, which nobody saw: nothing is said to be surer than that. Undefined where no place is known.
 */
export function separationNow(
  log: readonly WalkEvent[],
  path: Pick<Path, 'legs' | 'startOffsetM' | 'fixedEnd' | 'checkpoints' | 'distanceMethod'>,
  atS: number,
): SeparationNow | undefined {
  const placing = log.filter((e) => PLACING.has(e.kind));
  const begin = placing.find((e) => e.kind === 'begin');
  if (!begin) return undefined;
  const trace = traceWalk([begin, ...placing.filter((e) => e !== begin).slice(-LAST)], { path });
  const last = trace?.fixes.findLast((f) => f.atS <= atS);
  if (!last) return undefined;
  const fixedM = trace?.fixedEnds.findLast((f) => f.atS <= atS)?.atM;
  return {
    m: separationAtM(path, last.travelledM, fixedM),
    uM: Math.hypot(last.uncertaintyM, UNSEEN * (atS - last.atS)),
  };
}
