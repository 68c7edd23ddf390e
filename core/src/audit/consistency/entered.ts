import type { Direction } from '../../grade/direction.ts';
import type { Quantity } from '../../log/event.ts';
import type { DistanceMethod } from '../../quantity/distanceMethod.ts';
import type { QuotedFigure } from '../case/auditCase.ts';

/** What somebody wrote down, beside the log. */
export interface Quoted extends QuotedFigure {
  readonly productId: string;
  readonly product: string;
  readonly path: string;
  /** It failed there, and the distance was not noted. */
  readonly failedWithoutDistance: boolean;
}

/** A figure that an instrument showed. */
export interface EnteredReading {
  readonly quantity: Quantity;
  readonly direction: Direction;
  readonly value: number;
  /** Travelled; absent: nobody knows where. */
  readonly atM: number | undefined;
}

/** One log, as far as its consistency goes. */
export interface EnteredWalk {
  readonly productId: string;
  readonly product: string;
  readonly path: string;
  readonly label: string;
  readonly marks: readonly {
    readonly atM: number;
    readonly name: string | undefined;
    readonly method: DistanceMethod;
    readonly atS: number;
  }[];
  readonly notes: readonly { readonly text: string; readonly atS: number }[];
  /** Moments at which a grade, a measure, a count or a call was entered. */
  readonly readingsS: readonly number[];
  readonly figures: readonly EnteredReading[];
  /** It is logged stand by stand: each mark should have its reading. */
  readonly atStands: boolean;
  /**
   * What each device that watched found by the usual criterion, the walk's own first; `uM` the independent
   * uncertainty of its places.
   */
  readonly reports: readonly {
    readonly by: string;
    readonly direction: Direction;
    readonly heldM: number;
    readonly failedM: number | undefined;
    readonly uM: number;
  }[];
  /** Readings that no instrument can have shown, in words. */
  readonly impossible: readonly string[];
  /** Failures that no mark places. */
  readonly unplacedFailures: number;
  readonly endS: number;
}

/** What the walks of a product on a path bound: the median's interval by the case's criterion. */
export interface LoggedRange {
  readonly productId: string;
  readonly path: string;
  readonly lowM: number | undefined;
  readonly highM: number | undefined;
  readonly walks: number;
}

/** All that was entered. */
export interface Entered {
  readonly quoted: readonly Quoted[];
  readonly walks: readonly EnteredWalk[];
  readonly ranges: readonly LoggedRange[];
  /** Readings through a line that are faster than it was sold. */
  readonly doubts: readonly {
    readonly path: string;
    readonly products: readonly string[];
    readonly instrument: string | undefined;
    readonly readMbps: number;
    readonly planMbps: number;
    readonly direction: Direction;
  }[];
}

export interface ConsistencyFinding {
  readonly products: readonly string[];
  readonly path: string;
  readonly what: string;
  readonly mend: string;
}

export interface ConsistencyRule {
  readonly id: string;
  readonly title: string;
  find(entered: Entered): ConsistencyFinding[];
}
