import { median } from '../numeric/median.ts';
import { BEACON_TICK_S, type BeaconMessage } from './message.ts';

/** A message that was read, and when. */
export interface Read extends BeaconMessage {
  /** s of the recording. */
  readonly atS: number;
  /** The same, told more closely; absent: it is not. */
  readonly arrivedS?: number;
}

/** What the messages of one beacon say together. */
export interface BeaconTrack<R extends Read> {
  readonly tag: number;
  /** In their order. */
  readonly read: readonly R[];
  /**
   * How late they are: arrival on the recording's clock less sending on the walk's, s; and by how many millionths the
   * one clock runs faster than the other. With fewer than three: undefined.
   */
  readonly clock: { readonly laterS: number; readonly driftPpm: number } | undefined;
  /** Sent between the first and the last, and not read: when they should have come. */
  readonly missing: readonly { readonly sequence: number; readonly atS: number }[];
  /** Read, and not of this beacon: of another walk, or out of its order. */
  readonly implausible: readonly R[];
}

/** A message that arrives so far off the others' clock is none of the beacon's, s. */
const OFF_S = 1;
/** More are not listed one by one: the recording is not the beacon's. */
const MOST_MISSING = 100_000;

/**
 * The messages of the walk that most of them name, on one clock: a number that the others say cannot come then is left
 * out. @returns undefined where nothing was read
 */
export function beaconTrack<R extends Read>(all: readonly R[]): BeaconTrack<R> | undefined {
  const counts = new Map<number, number>();
  for (const { tag } of all) counts.set(tag, (counts.get(tag) ?? 0) + 1);
  const [most] = [...counts].toSorted((a, b) => b[1] - a[1]);
  if (!most) return undefined;
  const [tag] = most;
  const own = all.filter((r) => r.tag === tag).toSorted((a, b) => a.atS - b.atS);
  const laterS = median(own.map(offOf));
  const near = own.filter((r) => Math.abs(offOf(r) - laterS) <= OFF_S);
  const kept = new Set(near);
  return {
    tag,
    read: near,
    clock: clockOf(near),
    missing: missingOf(near),
    implausible: all.filter((r) => !kept.has(r)),
  };
}

const arrivalOf = ({ atS, arrivedS = atS }: Read): number => arrivedS;
const offOf = (read: Read): number => arrivalOf(read) - BEACON_TICK_S * read.sequence;

/** The line through arrivals over sendings that half of all pairs of neighbours lie above. */
function clockOf(read: readonly Read[]): BeaconTrack<Read>['clock'] {
  const [first] = read;
  if (!first || read.length < 3) return undefined;
  // Pairs half the recording apart: neighbours would tell the reading's own jitter.
  const half = Math.floor(read.length / 2);
  const slopes = read.slice(half).flatMap((r, i) => {
    const before = read[i] as Read;
    const sentS = BEACON_TICK_S * (r.sequence - before.sequence);
    return sentS > 0 ? [(arrivalOf(r) - arrivalOf(before)) / sentS - 1] : [];
  });
  if (slopes.length === 0) return undefined;
  const drift = median(slopes);
  return {
    laterS: median(read.map((r) => offOf(r) - drift * BEACON_TICK_S * r.sequence)),
    driftPpm: 1e6 * drift,
  };
}

/** By how much most numbers are beyond the one before; 0 where nothing tells. */
export function stepOf(read: readonly Read[]): number {
  const steps = read.slice(1).map((r, i) => r.sequence - (read[i] as Read).sequence);
  return steps.length === 0 ? 0 : Math.round(median(steps));
}

/** Sent in the steps in which most were, and not read. */
function missingOf(read: readonly Read[]): { sequence: number; atS: number }[] {
  const step = stepOf(read);
  if (step <= 0) return [];
  const missing: { sequence: number; atS: number }[] = [];
  read.slice(1).forEach((r, i) => {
    const before = read[i] as Read;
    for (let sequence = before.sequence + step; sequence <= r.sequence - step / 2; sequence += step)
      if (missing.length < MOST_MISSING)
        missing.push({ sequence, atS: before.atS + BEACON_TICK_S * (sequence - before.sequence) });
  });
  return missing;
}
