import { formatLength } from '../../quantity/length.ts';
import type { ConsistencyRule, EnteredWalk } from './entered.ts';

/** Two devices that watched one direction, and whose brackets share no place: both reports are kept. */
export const twoEnds: ConsistencyRule = {
  id: 'two-ends',
  title: 'Reports of the two ends contradict each other',
  find: ({ walks }) =>
    walks.flatMap((w) =>
      w.reports.flatMap((own, i) =>
        w.reports
          .slice(i + 1)
          .filter((other) => other.direction === own.direction && apart(own, other))
          .map((other) => ({
            products: [w.productId],
            path: w.path,
            what: `${w.product}, walk ${w.label}, ${own.direction}: ${said(own)}; ${said(other)}`,
            mend: 'Both are kept, side by side in Trace, and the walk’s own device is what is judged on. Ask which of the two heard what, and withdraw what was not so.',
          })),
      ),
    ),
};

type Report = EnteredWalk['reports'][number];

/** Brackets that only touch share no place. */
const apart = (a: Report, b: Report): boolean =>
  Math.max(a.heldM, b.heldM) > Math.min(a.failedM ?? Infinity, b.failedM ?? Infinity) + 2 * (a.uM + b.uM);

const said = ({ by, heldM, failedM }: Report): string =>
  `${by} says ${
    failedM === undefined
      ? `more than ${formatLength(heldM)}`
      : heldM === 0
        ? `less than ${formatLength(failedM)}`
        : `held to ${formatLength(heldM)}, failed by ${formatLength(failedM)}`
  }`;
