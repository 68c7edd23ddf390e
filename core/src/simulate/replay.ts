import type { Path } from '../geometry/path.ts';
import { effectiveLog } from '../log/effectiveLog.ts';
import type { WalkEvent } from '../log/event.ts';
import { learnReaction, type Reaction } from '../log/reaction.ts';
import { startWalk, TICK_S, type SimulatedGear, type Tick } from './simulatedGear.ts';

/** A longer walk than this is not played again. */
const MOST_S = 4 * 3600;

/**
 * What simulated gear really played on a walk whose log is given: the truth that the log can be held
 * against. Undefined for a real walk.
 */
export function replay(
  log: readonly WalkEvent[],
  simulatedGear: SimulatedGear,
  path: Path,
): Tick[] | undefined {
  const events = effectiveLog(log);
  const begin = events.find((e) => e.kind === 'begin');
  const seed = begin?.body.simulatedSeed;
  if (seed === undefined) return undefined;
  const turnS = events.findLast((e) => e.kind === 'turn')?.time.walkS;
  const endS = Math.min(MOST_S, Math.max(...events.map((e) => e.time.walkS)));
  const walk = startWalk(simulatedGear, path, seed);
  const ticks = [walk.step()];
  while ((ticks.at(-1) as Tick).tS < endS) {
    const { tS, returning } = ticks.at(-1) as Tick;
    if (turnS !== undefined && tS >= turnS - TICK_S / 2 && !returning) walk.turn();
    ticks.push(walk.step());
  }
  return ticks;
}

/** Losses shorter than this cannot be asked to be logged, s. */
const NOTICEABLE_S = 0.5;

/** Where the link was really lost, as seconds on the walk's clock: from, to. */
export function trueLosses(
  ticks: readonly Tick[],
): { readonly fromS: number; readonly toS: number; readonly fromM: number }[] {
  const losses: { fromS: number; toS: number; fromM: number }[] = [];
  for (const tick of ticks) {
    const last = losses.at(-1);
    if (tick.grade !== 1) continue;
    if (last && tick.tS - last.toS < 1.5 * TICK_S) last.toS = tick.tS;
    else losses.push({ fromS: tick.tS, toS: tick.tS, fromM: tick.separationM });
  }
  return losses.filter((l) => l.toS - l.fromS >= NOTICEABLE_S);
}

/** How a log did against the truth: delays at the walk's own rate, misses and false presses. */
export function scoreLog(log: readonly WalkEvent[], ticks: readonly Tick[]): Reaction {
  const presses = effectiveLog(log).filter((e) => e.kind === 'dropoutBegin');
  const rate = presses[0]?.time.rate ?? 1;
  // In real seconds: at a higher rate the same reaction takes more of the walk's.
  return learnReaction(
    trueLosses(ticks).map((l) => l.fromS / rate),
    presses.map((e) => e.time.walkS / rate),
  );
}
