import { WALKING_MPS } from '../quantity/pace.ts';
import * as phrases from './phrases.ts';

export interface TimetableOptions {
  /** Minutes after midnight. */
  readonly startMin: number;
  /** Setting up and the rig check, before a rig's first walk. */
  readonly setUpMin: number;
  /** Baseline, reconnecting and changing over, at every walk. */
  readonly settleMin: number;
}

export interface TimedWalk<T> {
  readonly item: T;
  readonly fromMin: number;
  readonly walkingFromMin: number;
  readonly toMin: number;
}

/** What a timetable needs of a walk; walks that share `together` are one outing. */
export interface Outing {
  readonly lengthM: number;
  readonly rigId: string;
  readonly together?: string;
}

/** Clock times of walks made one after another, out and back at walking pace. */
export function timetable<T>(
  items: readonly T[],
  of: (item: T) => Outing,
  { startMin, setUpMin, settleMin }: TimetableOptions,
): TimedWalk<T>[] {
  const seen = new Set<string>();
  let clock = startMin;
  let outing: { key: string; fromMin: number; walkingFromMin: number; toMin: number } | undefined;
  return items.map((item) => {
    const { lengthM, rigId, together } = of(item);
    if (!(lengthM > 0)) throw new RangeError(phrases.invalidLengthm(lengthM));
    if (together !== undefined && outing?.key === together) {
      const { fromMin, walkingFromMin, toMin } = outing;
      seen.add(rigId);
      return { item, fromMin, walkingFromMin, toMin };
    }
    const fromMin = clock;
    const walkingFromMin = fromMin + settleMin + (seen.has(rigId) ? 0 : setUpMin);
    seen.add(rigId);
    clock = walkingFromMin + (2 * lengthM) / WALKING_MPS / 60;
    outing = together === undefined ? undefined : { key: together, fromMin, walkingFromMin, toMin: clock };
    return { item, fromMin, walkingFromMin, toMin: clock };
  });
}

/** "14:05"; past midnight it counts on from 00:00. */
export function clockText(minutes: number): string {
  const whole = Math.round(minutes);
  return `${String(Math.floor(whole / 60) % 24).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
}

/** Minutes after midnight of "14:05". @throws RangeError with the text. */
export function parseClock(text: string): number {
  const match = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(text.trim());
  if (!match) throw new RangeError(phrases.invalidTime(JSON.stringify(text)));
  return 60 * Number(match[1]) + Number(match[2]);
}
