import * as phrases from './phrases.ts';

/** What a product and everything needed to reach its range costs: cables, supplies, antenna. */
export interface CostLine {
  readonly what: string;
  readonly amount: number;
}

export const totalCost = (lines: readonly CostLine[]): number => lines.reduce((sum, l) => sum + l.amount, 0);

export interface CostedRange {
  readonly product: string;
  readonly total: number;
  /** Distance that is paid for, m. */
  readonly reachM: number;
}

export interface CostPerMetre extends CostedRange {
  readonly perMetre: number;
  /**
   * Against the cheapest: what each metre more costs. Absent for the cheapest, and where nothing is gained.
   */
  readonly perMetreGained: number | undefined;
}

/** In order of cost; ties keep theirs. @throws RangeError on a reach that is not above 0. */
export function costPerMetre(ranges: readonly CostedRange[]): CostPerMetre[] {
  const bad = ranges.find((r) => !(r.reachM > 0));
  if (bad) throw new RangeError(phrases.invalidReachm(bad.reachM));
  const sorted = [...ranges].sort((a, b) => a.total - b.total);
  const [cheapest] = sorted;
  return sorted.map((r) => ({
    ...r,
    perMetre: r.total / r.reachM,
    perMetreGained:
      cheapest && r !== cheapest && r.reachM > cheapest.reachM
        ? (r.total - cheapest.total) / (r.reachM - cheapest.reachM)
        : undefined,
  }));
}
