import { formatLength } from '../quantity/length.ts';
import * as phrases from './phrases.ts';

/** What a plan lets a claim of distance be judged by. */
export interface PlanForClaim {
  /** Greatest separation of the path, m. */
  readonly pathReachM: number;
  /** Walks of the product on it, made or planned. */
  readonly walks: number;
}

/** Why a plan could never have settled a claim of distance, either way; undefined where it could. */
export function neverSettles(distanceM: number, { pathReachM, walks }: PlanForClaim): string | undefined {
  if (pathReachM <= distanceM)
    return phrases.thePathEndsAtSoThat(formatLength(pathReachM), formatLength(distanceM));
  return walks < 2
    ? phrases.plannedAndOneWalkBoundsNo(walks === 0 ? phrases.noWalkIs : phrases.oneWalkIs)
    : undefined;
}

/**
 * The same for a claim of a ratio: places where one looks farther apart than the ratio cannot show it.
 * `marksM` absent: a continuous walk.
 */
export function neverSettlesRatio(
  ratio: number,
  marksM: readonly number[],
  walks: number,
): string | undefined {
  if (walks < 2) return phrases.plannedOfAProductAndOne(walks === 0 ? phrases.noWalkIs : phrases.oneWalkIs);
  const steps = marksM
    .slice(1)
    .flatMap((m, i) => ((marksM[i] as number) > 0 ? [m / (marksM[i] as number)] : []));
  const finest = steps.length > 0 ? Math.min(...steps) : 1;
  return finest > Math.max(ratio, 1 / ratio)
    ? phrases.itsStandsAreAtLeastPercent(
        (100 * (finest - 1)).toFixed(0),
        (100 * (Math.max(ratio, 1 / ratio) - 1)).toFixed(0),
      )
    : undefined;
}
