import { isMoreBetter, median, QUANTITIES, type Direction, type Quantity } from '@urvek/core';
import type { Finding } from './findings.ts';
import { readingsOf, type PlacedReading } from './figures.ts';
import { byProduct } from './places.ts';
import type { PathRanges } from './ranges.ts';

/** What was read of one quantity at one place, over all walks: never a figure without its n. */
export interface StandSet {
  readonly product: string;
  readonly quantity: Quantity;
  readonly direction: Direction;
  /** "post 3", or its distance. */
  readonly stand: string;
  readonly distanceM: number;
  readonly readings: number;
  /** Of them without a connection. */
  readonly none: number;
  readonly walks: number;
  /**
   * Of all of them: no connection is 0 Mbit/s, and worse than every other figure; undefined where it stands in the
   * middle itself.
   */
  readonly median: number | undefined;
  /** Of those with a value; undefined where none has one. */
  readonly least: number | undefined;
  readonly most: number | undefined;
}

/** A place within this of a checkpoint is it: a stride, or a thirtieth of the way. */
const AT_CHECKPOINT_M = 1.5;
const AT_CHECKPOINT = 1 / 30;

/** How a place is called, so that two walks that stood there say the same: the checkpoint, or whole metres. */
export function standName(finding: Finding, travelledM: number): string {
  const [nearest] = [...finding.path.checkpoints].sort(
    (a, b) => Math.abs(a.atM - travelledM) - Math.abs(b.atM - travelledM),
  );
  return nearest &&
    Math.abs(nearest.atM - travelledM) <= Math.max(AT_CHECKPOINT_M, AT_CHECKPOINT * travelledM)
    ? nearest.name
    : `${travelledM.toFixed(0)} m`;
}

const nameOf = ({ finding, measured }: PlacedReading): string =>
  standName(finding, measured.position?.travelledM ?? 0);

/** Median and spread of every stand, product, quantity and direction, nearest first. */
export function standSets({ findings }: Pick<PathRanges, 'findings'>): StandSet[] {
  return byProduct(findings).flatMap(([product, own]) =>
    QUANTITIES.flatMap((quantity) => {
      const groups = new Map<string, PlacedReading[]>();
      for (const reading of own.flatMap((f) => readingsOf(f, quantity))) {
        if (reading.measured.bound !== undefined) continue;
        const key = `${reading.measured.direction}/${nameOf(reading)}`;
        const group = groups.get(key);
        if (group) group.push(reading);
        else groups.set(key, [reading]);
      }
      return [...groups.values()]
        .map((group) => setOf(product, quantity, group))
        .sort((a, b) => a.direction.localeCompare(b.direction) || a.distanceM - b.distanceM);
    }),
  );
}

function setOf(product: string, quantity: Quantity, group: readonly PlacedReading[]): StandSet {
  const [first] = group as [PlacedReading];
  const values = group.flatMap(({ measured }) => measured.value ?? []);
  // What a needle moved between belongs to its spread; of a rate, so does the nothing of no connection.
  const ends = group.flatMap(({ measured: { value, least, most } }) =>
    [value ?? (quantity === 'throughput' ? 0 : undefined), least, most].filter((v) => v !== undefined),
  );
  return {
    product,
    quantity,
    direction: first.measured.direction,
    stand: nameOf(first),
    distanceM: median(group.map((r) => r.distanceM)),
    readings: group.length,
    none: group.length - values.length,
    walks: new Set(group.map((r) => r.finding.walkId)).size,
    median: middleOf(quantity, group),
    least: ends.length > 0 ? Math.min(...ends) : undefined,
    most: ends.length > 0 ? Math.max(...ends) : undefined,
  };
}

/**
 * The middle, with nothing received at its end of the order: who leaves it out finds links that improve with
 * distance.
 */
function middleOf(quantity: Quantity, group: readonly PlacedReading[]): number | undefined {
  const nothing = quantity === 'throughput' ? 0 : isMoreBetter(quantity) ? -Infinity : Infinity;
  const middle = median(group.map(({ measured }) => measured.value ?? nothing));
  return Number.isFinite(middle) ? middle : undefined;
}
