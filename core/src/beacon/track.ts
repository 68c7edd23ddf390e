import { median } from '../numeric/median.ts';
import type { BeaconMessage } from './message.ts';

/** A message that was read, and when. */
export interface Read extends BeaconMessage {
  /** s of the recording. */
  readonly atS: number;
}

/** What the messages of one beacon say together. */
export interface BeaconTrack<R extends Read> {
  readonly tag: number;
  /** In their order. */
  readonly read: readonly R[];
  /** From one to the next, s of the recording; undefined with fewer than three. */
  readonly periodS: number | undefined;
  /** Sent between the first and the last, and not read: when they should have come. */
  readonly missing: readonly { readonly sequence: number; readonly atS: number }[];
  /** Read, and not of this beacon: of another walk, or out of its order. */
  readonly implausible: readonly R[];
}

/** A message that comes this much of a period off its place is none of the beacon's. */
const OFF_PERIODS = 0.5;
/** More are not listed one by one: the recording is not the beacon's. */
const MOST_MISSING = 100_000;

/**
 * The messages of the walk that most of them name, in a steady order: a number that the others say cannot come then is
 * left out. @returns undefined where nothing was read
 */
export function beaconTrack<R extends Read>(all: readonly R[]): BeaconTrack<R> | undefined {
  const counts = new Map<number, number>();
  for (const { tag } of all) counts.set(tag, (counts.get(tag) ?? 0) + 1);
  const [most] = [...counts].toSorted((a, b) => b[1] - a[1]);
  if (!most) return undefined;
  const [tag] = most;
  const own = all.filter((r) => r.tag === tag).toSorted((a, b) => a.atS - b.atS);
  const periodS = own.length < 3 ? undefined : periodOf(own);
  if (periodS === undefined)
    return { tag, read: own, periodS, missing: [], implausible: all.filter((r) => r.tag !== tag) };
  const beginS = median(own.map((r) => r.atS - r.sequence * periodS));
  const fits = (r: R): boolean =>
    r.tag === tag && Math.abs((r.atS - beginS) / periodS - r.sequence) <= OFF_PERIODS;
  const read = own.filter(fits);
  const there = new Set(read.map((r) => r.sequence));
  const [first, last] = [read[0]?.sequence ?? 0, read.at(-1)?.sequence ?? 0];
  const missing: { sequence: number; atS: number }[] = [];
  for (let sequence = first + 1; sequence < last && missing.length < MOST_MISSING; sequence++)
    if (!there.has(sequence)) missing.push({ sequence, atS: beginS + sequence * periodS });
  return { tag, read, periodS, missing, implausible: all.filter((r) => !fits(r)) };
}

/** The middle of what neighbours say (few can be wrong), s; undefined where none grows with time. */
function periodOf(own: readonly Read[]): number | undefined {
  const periods = own.slice(1).flatMap((r, i) => {
    const before = own[i] as Read;
    const steps = r.sequence - before.sequence;
    return steps > 0 ? [(r.atS - before.atS) / steps] : [];
  });
  return periods.length === 0 ? undefined : median(periods);
}
