import { QUANTITY_UNIT } from '../../log/event.ts';
import { formatLength } from '../../quantity/length.ts';
import type { ConsistencyRule, EnteredReading, EnteredWalk } from './entered.ts';
import * as phrases from './phrases.ts';

/** So many digits are a figure that two quantities do not share by chance. */
const TELLING_DIGITS = 3;
/** Places nearer than this are one, m. */
const ONE_PLACE_M = 5;

/**
 * The same figure for another quantity, or the other direction, at another place: copied, or put in the wrong column.
 */
export const sameReading: ConsistencyRule = {
  id: 'same-reading',
  title: phrases.oneFigureForTwoThings,
  find: ({ walks }) =>
    walks.flatMap((w) =>
      pairsIn(w).map(([a, b]) => ({
        products: [w.productId],
        path: w.path,
        what:
          `${w.product}, walk ${w.label}: ${a.value} is ${nameOf(a)} at ${placeOf(a)}, and ${nameOf(b)} at ` +
          `${placeOf(b)}`,
        mend: phrases.lookWhichOfThemWasRead2,
      })),
    ),
};

const DIRECTION = { 'fixed-to-mobile': 'down', 'mobile-to-fixed': 'up' } as const;
const nameOf = ({ quantity, direction }: EnteredReading): string =>
  `${quantity} ${DIRECTION[direction]}, ${QUANTITY_UNIT[quantity]}`;
const placeOf = ({ atM }: EnteredReading): string =>
  atM === undefined ? phrases.aPlaceUnknown : formatLength(atM);

const digitsOf = (value: number): number =>
  String(Math.abs(value)).replace('.', '').replace(/^0+/, '').replace(/0+$/, '').length;

/** Each figure once, however often it stands. */
function pairsIn({ figures }: EnteredWalk): [EnteredReading, EnteredReading][] {
  const pairs = new Map<number, [EnteredReading, EnteredReading]>();
  figures.forEach((a, i) => {
    if (digitsOf(a.value) < TELLING_DIGITS || pairs.has(a.value)) return;
    const other = figures
      .slice(i + 1)
      .find(
        (b) =>
          b.value === a.value &&
          (b.quantity !== a.quantity || b.direction !== a.direction) &&
          Math.abs((b.atM ?? Infinity) - (a.atM ?? -Infinity)) > ONE_PLACE_M,
      );
    if (other) pairs.set(a.value, [a, other]);
  });
  return [...pairs.values()];
}
