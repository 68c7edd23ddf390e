import { logNormalCdf } from '../../numeric/normal.ts';
import { survivalAt, type TurnbullEstimate } from './turnbull.ts';

export interface LognormalCurve {
  readonly medianM: number;
  readonly sigma: number;
}

/** Share of walks that hold to a distance, by the model. */
export const modelSurvival = ({ medianM, sigma }: LognormalCurve, distanceM: number): number =>
  distanceM <= 0 ? 1 : Math.exp(logNormalCdf(-Math.log(distanceM / medianM) / sigma));

/**
 * Greatest distance between the model and the band that the steps leave open. Beyond 1.36/√n, Kolmogorov's
 * 95 % point for exact distances and a known curve, model and walks disagree plainly (a rule of thumb here:
 * censoring and fitting both make it smaller).
 */
export function disagreement(
  curve: LognormalCurve,
  steps: TurnbullEstimate,
  walks: number,
): { readonly distance: number; readonly plain: boolean } {
  const places = steps.masses
    .flatMap((m) => [m.lowerM, ...(m.upperM === undefined ? [] : [m.upperM])])
    .filter((m) => m > 0);
  const distance = places.reduce((worst, m) => {
    const model = modelSurvival(curve, m);
    // At a step's very place the share falls: just before and just after it both count.
    const [before, after] = [survivalAt(steps, m * (1 - 1e-12)), survivalAt(steps, m)];
    return Math.max(
      worst,
      model - Math.max(before.most, after.most),
      Math.min(before.least, after.least) - model,
    );
  }, 0);
  return { distance, plain: distance > 1.36 / Math.sqrt(walks) };
}
