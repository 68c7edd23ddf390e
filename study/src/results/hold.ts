import { type LognormalCurve, type TurnbullEstimate, disagreement, turnbull } from '@urvek/core';
import type { PathRanges } from './ranges.ts';
import { walkRows } from './walkRows.ts';

/** Share of walks of a product that hold to a distance: by the model, and by the walks alone. */
export interface HoldCurve {
  readonly product: string;
  readonly walks: number;
  readonly model: LognormalCurve | undefined;
  readonly steps: TurnbullEstimate;
  /** The two differ by more than so few walks explain. */
  readonly disagrees: boolean;
}

export function holdCurves(range: PathRanges): HoldCurve[] {
  const rows = walkRows(range.findings, range.criterion, range.side);
  return range.summary.fitted
    .filter((c) => c.walks > 0)
    .map((cell) => {
      const steps = turnbull(rows.filter((r) => r.product === cell.product));
      const model =
        cell.median && range.summary.sigma !== undefined
          ? { medianM: cell.median.estimateM, sigma: range.summary.sigma }
          : undefined;
      return {
        product: cell.product,
        walks: cell.walks,
        model,
        steps,
        disagrees: model !== undefined && disagreement(model, steps, cell.walks).plain,
      };
    });
}
