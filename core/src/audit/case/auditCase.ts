import type { RangeSummary } from '../../estimate/range/summarise.ts';
import type { Cap } from '../../estimate/figures/cap.ts';
import type { Criterion } from '../../grade/criterion.ts';
import type { Direction } from '../../grade/direction.ts';
import type { RigSettings } from '../../kit/rig.ts';
import type { ClipGrades, Conditions, WalkMode } from '../../log/event.ts';
import type { DistanceMethod } from '../../quantity/distanceMethod.ts';
import type { LengthUnit } from '../../quantity/length.ts';
import * as phrases from './phrases.ts';

/** One walk, as far as fairness asks. */
export interface AuditedWalk {
  readonly label: string;
  readonly rig: RigSettings;
  readonly rigName: string;
  /** The sample that walked. */
  readonly unit: string;
  /** Milliseconds since 1970. */
  readonly startedMs: number;
  readonly round: number | undefined;
  /** The first walk of the path, made again at the end. */
  readonly baseline: boolean;
  readonly finished: boolean;
  readonly mode: WalkMode;
  readonly conditions: Conditions;
  /** How who graded it grades clips, as learned before it; empty: nothing is known. */
  readonly graded: readonly ClipGrades[];
  /** Where it began; absent: not stated. */
  readonly startM: number | undefined;
  /** Somebody graded what it began with. */
  readonly baselineStated: boolean;
  /** Nobody knows when it was walked. */
  readonly undated: boolean;
  readonly methods: readonly DistanceMethod[];
  readonly directions: readonly Direction[];
  /** Calls at checkpoints that were graded, and words or figures that were read back. */
  readonly calls: number;
  readonly readBacks: number;
  /** Interval of separation by the criterion of the case; absent: no outcome. */
  readonly interval: { readonly heldM: number; readonly failedM: number | undefined } | undefined;
}

/** A figure that somebody else found, or that was published. */
export interface QuotedFigure {
  readonly source: string;
  readonly walks: number | undefined;
  readonly meanM: number | undefined;
  readonly bestM: number | undefined;
  readonly worstM: number | undefined;
  /** Best less worst. */
  readonly spreadM: number | undefined;
  /** The unit they were written in; metres where it is not said. */
  readonly unit?: LengthUnit;
}

/** What is compared: a product, or one of its rigs where they differ. */
export interface AuditedProduct {
  readonly id: string;
  /** The product it is one of. */
  readonly model: string;
  readonly name: string;
  readonly bandMHz: number | undefined;
  readonly powerMw: number | undefined;
  /** Rigs that walked; before the first walk, those that are planned. */
  readonly rigs: readonly RigSettings[];
  /** In order of their start. */
  readonly walks: readonly AuditedWalk[];
  /** Paths on which it was walked, this one or others. */
  readonly pathsWalked: readonly string[];
  readonly quoted: readonly QuotedFigure[];
  readonly cap: Cap | undefined;
  /** Checkpoints at which one end is heard and the other is not. */
  readonly oneWay: readonly {
    readonly checkpoint: string;
    readonly deaf: 'fixed end' | 'mobile end';
    readonly gradesApart: number;
  }[];
}

/** Products of one kind on one path, by one criterion: what is compared. */
export interface AuditCase {
  readonly pathId: string;
  readonly pathName: string;
  readonly criterion: Criterion;
  readonly kindName: string;
  readonly judgedBy: 'sense' | 'figures';
  readonly bothWays: boolean;
  readonly products: readonly AuditedProduct[];
  readonly ratios: RangeSummary['productRatios'];
  /** Claims of a ratio between two of the products, by their ids. */
  readonly ratioClaims: readonly {
    readonly product: string;
    readonly against: string;
    readonly ratio: number;
    readonly entered: string;
  }[];
  /** Products are letters until all walks are in. */
  readonly blind: boolean;
  /** Path-loss exponent by which decibels become distance. */
  readonly exponent: number;
}

/** What a rule says. */
export interface AuditFinding {
  /** Products concerned, by their ids. */
  readonly products: readonly string[];
  /** What differs. */
  readonly what: string;
  /** How large it could be, dB, where that can be said. */
  readonly sizeDb: number | undefined;
  /** The same in words; says so where it is not known. */
  readonly size: string;
  readonly mend: string;
}

/** A rule of the audit; each stands in a file of its own. */
export interface AuditRule {
  readonly id: string;
  readonly title: string;
  find(of: AuditCase): AuditFinding[];
}

export const NOT_KNOWN = phrases.notKnown;

export const decibels = (db: number): string => phrases.aboutDb(db.toFixed(1));
