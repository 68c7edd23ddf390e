import { formatLength } from '../../quantity/length.ts';
import type { ConsistencyRule, EnteredWalk } from './entered.ts';
import * as phrases from './phrases.ts';

/** Two devices that watched one direction, and whose brackets share no place: both reports are kept. */
export const twoEnds: ConsistencyRule = {
  id: 'two-ends',
  title: phrases.reportsOfTheTwoEndsContradict,
  find: ({ walks }) =>
    walks.flatMap((w) =>
      w.reports.flatMap((own, i) =>
        w.reports
          .slice(i + 1)
          .filter((other) => other.direction === own.direction && apart(own, other))
          .map((other) => ({
            products: [w.productId],
            path: w.path,
            what: phrases.walk2(w.product, w.label, own.direction, said(own), said(other)),
            mend: phrases.bothAreKeptSideBySide,
          })),
      ),
    ),
};

type Report = EnteredWalk['reports'][number];

/** Brackets that only touch share no place. */
const apart = (a: Report, b: Report): boolean =>
  Math.max(a.heldM, b.heldM) > Math.min(a.failedM ?? Infinity, b.failedM ?? Infinity) + 2 * (a.uM + b.uM);

const said = ({ by, heldM, failedM }: Report): string =>
  phrases.says(
    by,
    failedM === undefined
      ? phrases.moreThan(formatLength(heldM))
      : heldM === 0
        ? phrases.lessThan(formatLength(failedM))
        : phrases.heldToFailedBy(formatLength(heldM), formatLength(failedM)),
  );
