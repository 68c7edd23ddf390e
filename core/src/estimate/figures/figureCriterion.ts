import { QUANTITY_UNIT, type Quantity, type ReadingBound } from '../../log/event.ts';
import { median } from '../../numeric/median.ts';
import * as phrases from './phrases.ts';

/** A figure that a use asks for, "at least 40 Mbit/s", "at most 50 ms": a criterion like any other. */
export interface FigureNeed {
  readonly quantity: Quantity;
  readonly figure: number;
}

/** More is better of these, less of the others. */
const MORE_IS_BETTER: readonly Quantity[] = ['throughput', 'level', 'level change', 'bars'];

export const isMoreBetter = (quantity: Quantity): boolean => MORE_IS_BETTER.includes(quantity);

/** "at least 40 Mbit/s", "at most 50 ms". */
export const figureNeedText = ({ quantity, figure }: FigureNeed): string => {
  const of =
    quantity === 'round-trip variation' || quantity === 'jitter' || quantity === 'loss' ? ` ${quantity}` : '';
  return `${isMoreBetter(quantity) ? phrases.atLeast : phrases.atMost} ${figure} ${QUANTITY_UNIT[quantity]}${of}`;
};

const UNITS: readonly (readonly [RegExp, Quantity, number])[] = [
  [/^(mbit\/s|mbps)$/, 'throughput', 1],
  [/^(kbit\/s|kbps)$/, 'throughput', 0.001],
  [/^(gbit\/s|gbps)$/, 'throughput', 1000],
  [/^dbm$/, 'level', 1],
  [/^ms$/, 'round trip', 1],
  [/^s$/, 'round trip', 1000],
  [/^ms (variation|round-trip variation)$/, 'round-trip variation', 1],
  [/^ms jitter$/, 'jitter', 1],
  [/^%( loss)?$/, 'loss', 1],
];

/** Reads "40 Mbit/s", "-75 dBm", "50 ms", "2 % loss". @throws RangeError with the text */
export function parseFigureNeed(text: string): FigureNeed {
  const tidy = text
    .trim()
    .toLowerCase()
    .replace(/^(at least|at most)\s+/, '')
    .replace('−', '-');
  const [, digits, unit = ''] = /^(-?\d+(?:\.\d+)?)\s*(\S.*)$/.exec(tidy) ?? [];
  const found = UNITS.find(([pattern]) => pattern.test(unit.replace(/\s+/g, ' ')));
  const figure = Number(digits) * (found?.[2] ?? NaN);
  if (!found || !Number.isFinite(figure) || (found[1] !== 'level' && !(figure > 0)))
    throw new RangeError(phrases.invalidFigure(JSON.stringify(text)));
  return { quantity: found[1], figure };
}

/** A reading as a need looks at it; without a value nothing came through. */
export interface NeededReading {
  readonly value?: number | undefined;
  readonly bound?: ReadingBound | undefined;
}

/** Nothing came through: below every need. */
const nothing = (quantity: Quantity): number => (isMoreBetter(quantity) ? -Infinity : Infinity);

/**
 * Whether what was read at one stand meets a need, by its median; undefined where bounds do not tell: a stream of
 * 5 Mbit/s that ran smoothly says nothing of 40.
 */
export function meetsNeed(
  readings: readonly NeededReading[],
  { quantity, figure }: FigureNeed,
): boolean | undefined {
  const meets = (value: number): boolean => (isMoreBetter(quantity) ? value >= figure : value <= figure);
  const told = readings.flatMap(({ value = nothing(quantity), bound }): number[] => {
    if (bound === undefined) return [value];
    const side = bound === 'at least' ? value >= figure : value <= figure;
    return side ? [bound === 'at least' ? Infinity : -Infinity] : [];
  });
  return told.length === 0 ? undefined : meets(median(told));
}

/**
 * Of what was looked at in the order of the way: the last that was met, and the first beyond it that was not. Between
 * the two it ended.
 */
export function holdAndFail<T extends { readonly met: boolean }>(
  marks: readonly T[],
): { readonly held: T | undefined; readonly failed: T | undefined } {
  const last = marks.findLastIndex((m) => m.met);
  return { held: marks[last], failed: marks.slice(last + 1).find((m) => !m.met) };
}
