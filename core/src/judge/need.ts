import { cellBasis } from '../estimate/range/basis.ts';
import type { CellFinding } from '../estimate/range/cellFinding.ts';
import type { Ends } from '../estimate/range/ends.ts';
import { clopperPearson } from '../numeric/binomial.ts';
import type { WalkInterval } from '../walk/walkInterval.ts';
import { formatLength } from '../quantity/length.ts';
import { heldText } from './claim.ts';
import { walksFor } from './walksFor.ts';
import * as phrases from './phrases.ts';

export interface Need {
  readonly use: string;
  /** As it was written: "30 m". */
  readonly entered: string;
  readonly distanceM: number;
  readonly condition: 'open' | 'obstructed' | 'unstated';
}

/** `distance`: nobody asked how far it has to reach; how far it does is the answer. */
export const NEED_OUTCOMES = ['meets', 'marginal', 'fails', 'unknown', 'distance'] as const;
export type NeedOutcome = (typeof NEED_OUTCOMES)[number];

export interface NeedVerdict {
  readonly outcome: NeedOutcome;
  /** The estimate of p10, by its own spread, over the distance needed; its bound where there is no estimate. */
  readonly margin: number | undefined;
  /** The margin is a bound: at least so much. */
  readonly atLeast: boolean;
  readonly reason: string;
  /** Walks that held to the need, of those that tell. */
  readonly kOfN: { readonly held: number; readonly of: number } | undefined;
  /** Where nobody asked how far: how far it does reach, and of how many walks. */
  readonly reach?: Reach;
}

/** A distance with its 95 % interval; `atLeast`: every walk held as far, and none says where it ends. */
export interface Reach {
  readonly foundM: number | undefined;
  readonly ends: Ends | undefined;
  readonly atLeast: boolean;
  readonly walks: number;
}

/** Walks that held to a distance, of those that tell. */
export function heldTo(
  walks: readonly Pick<WalkInterval, 'heldM' | 'failedM'>[],
  distanceM: number,
): { readonly held: number; readonly of: number } {
  const held = walks.filter((w) => w.heldM >= distanceM).length;
  const failed = walks.filter((w) => w.failedM !== undefined && w.failedM <= distanceM).length;
  return { held, of: held + failed };
}

/** "5 of 6 walks held to it": what walks say of a place that the model gives. */
export function heldToText(
  walks: readonly Pick<WalkInterval, 'heldM' | 'failedM'>[],
  distanceM: number,
): string {
  const { held, of } = heldTo(walks, distanceM);
  return of === 0 ? phrases.noWalkTells : phrases.ofHeldToIt(held, phrases.countedWalks(of));
}

/** Walks that must all hold before 9 of 10 may be said to. */
export const WALKS_FOR_P10 = walksFor(0.9);

/**
 * Judges a need on p10, the distance to which 9 of 10 walks hold: meets where its lower bound lies beyond
 * the need, fails where its upper bound does not reach it, marginal between; unknown where p10 has no
 * interval.
 */
export function judgeNeed(
  need: Need,
  /** What is asked for, in words: a criterion, or a figure. */
  criterion: string,
  cell: CellFinding | undefined,
  walks: readonly Pick<WalkInterval, 'heldM' | 'failedM'>[] = [],
): NeedVerdict {
  const judged = judgeByModel(need, criterion, cell);
  const { held, of } = heldTo(walks, need.distanceM);
  if (of === 0) return { ...judged, kOfN: undefined };
  const { low, high } = clopperPearson(held, of);
  const few = (cell?.walks ?? 0) < WALKS_FOR_P10 ? phrases.below29WalksATenthIs : '';
  return {
    ...judged,
    kOfN: { held, of },
    reason: phrases.ofWalksHeldToIt95(
      judged.reason,
      held,
      of,
      (100 * low).toFixed(0),
      (100 * high).toFixed(0),
      judged.outcome === 'unknown' ? '' : few,
    ),
  };
}

type ByModel = Omit<NeedVerdict, 'kOfN'>;

function judgeByModel(need: Need, criterion: string, cell: CellFinding | undefined): ByModel {
  const unknown = (reason: string): ByModel => ({
    outcome: 'unknown',
    margin: undefined,
    atLeast: false,
    reason,
  });
  if (!cell || cell.walks === 0)
    return unknown(
      need.condition === 'unstated' ? phrases.notWalked : phrases.notWalkedOnAnPath(need.condition),
    );
  const n = cellBasis(cell);
  const { low, high } = cell.withScale95M.p10 ?? { low: undefined, high: undefined };
  const p10M = cell.own?.p10?.estimateM;
  const margin = p10M === undefined ? undefined : p10M / need.distanceM;
  const interval = phrases.to(
    low === undefined ? phrases.noBound : formatLength(low),
    high === undefined ? phrases.noBound : formatLength(high),
  );
  if (low !== undefined && low >= need.distanceM)
    return {
      outcome: 'meets',
      margin: margin ?? low / need.distanceM,
      atLeast: margin === undefined,
      reason: phrases.n9Of10WalksHoldTo(formatLength(low), criterion, n),
    };
  if (high !== undefined && high < need.distanceM)
    return {
      outcome: 'fails',
      margin,
      atLeast: false,
      reason: phrases.n9Of10WalksHoldTo2(formatLength(high), criterion, n),
    };
  if (margin !== undefined && low !== undefined)
    return {
      outcome: 'marginal',
      margin,
      atLeast: false,
      reason: phrases.n9Of10WalksHoldTo3(interval, criterion, n),
    };
  return boundOnly(need, criterion, cell) ?? unknown(phrases.giveNoLowerBoundForThe(n));
}

/** What walks that never failed say: enough of them meet a need that lies within. */
function boundOnly({ distanceM }: Need, criterion: string, cell: CellFinding): ByModel | undefined {
  const { walks } = cell;
  const heldM = cell.withScale95M.allHeldToM;
  if (heldM === undefined || cell.failures > 0 || heldM < distanceM) return undefined;
  const margin = heldM / distanceM;
  const held = `${heldText(cell)} (${criterion})`;
  return walks >= WALKS_FOR_P10
    ? { outcome: 'meets', margin, atLeast: true, reason: `${held}.` }
    : {
        outcome: 'marginal',
        margin,
        atLeast: true,
        reason: phrases.aBoundAndSuchWalksAre(held, WALKS_FOR_P10),
      };
}

/** "40 Mbit/s to where": the distance to which 9 of 10 walks hold, with nothing to judge it against. */
export function reachOfNeed(asked: string, cell: CellFinding | undefined): NeedVerdict {
  const told = (
    outcome: NeedOutcome,
    reason: string,
    { foundM, ends: found, atLeast = false }: Partial<Reach> = {},
  ): NeedVerdict => ({
    ...{ outcome, reason, margin: undefined, atLeast: false, kOfN: undefined },
    ...(outcome === 'distance' ? { reach: { foundM, ends: found, atLeast, walks: cell?.walks ?? 0 } } : {}),
  });
  if (!cell || cell.walks === 0) return told('unknown', phrases.nothingOfItWasReadHere);
  const n = cellBasis(cell);
  const { p10, median } = cell.withScale95M;
  const ends = ({ low, high }: { low: number | undefined; high: number | undefined }): string =>
    phrases.to(
      low === undefined ? phrases.noBound : formatLength(low),
      high === undefined ? phrases.noBound : formatLength(high),
    );
  const tenth =
    p10 && cell.own?.p10?.estimateM !== undefined
      ? phrases.n9Of10WalksHoldIt(formatLength(cell.own.p10.estimateM), ends(p10))
      : undefined;
  const middle = cell.median && median && phrases.median(formatLength(cell.median.estimateM), ends(median));
  const said = [tenth, middle].filter((t) => t !== undefined);
  if (said.length > 0)
    return told(
      'distance',
      `${capital(asked)}: ${said.join('; ')} (${n}).`,
      tenth === undefined
        ? { foundM: cell.median?.estimateM, ends: median }
        : { foundM: cell.own?.p10?.estimateM, ends: p10 },
    );
  if (cell.bounds && cell.failures === 0)
    return told('distance', `${capital(asked)}: ${heldText(cell)}, a bound.`, {
      foundM: cell.withScale95M.allHeldToM ?? cell.bounds.allHeldToM,
      atLeast: true,
    });
  const { allHeldToM: heldM, allFailedByM: failedM } = cell.withScale95M;
  if (heldM === undefined && failedM === undefined)
    return told('unknown', phrases.noDistance(capital(asked), n, cell.reason ?? phrases.tooFewForAnInterval));
  const held = heldM === undefined ? phrases.notHeldAtItsNearest : phrases.heldTo2(formatLength(heldM));
  const failed = failedM === undefined ? '' : phrases.noLongerAt(formatLength(failedM));
  return told('distance', phrases.noMoreIsKnown(capital(asked), held, failed, n), {
    ends: { low: heldM, high: failedM },
  });
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
