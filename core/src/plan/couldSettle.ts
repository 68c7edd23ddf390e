import { formatLength } from '../quantity/length.ts';

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
    return `the path ends at ${formatLength(pathReachM)}, so that no walk on it can go beyond ${formatLength(distanceM)}`;
  return walks < 2
    ? `${walks === 0 ? 'no walk is' : 'one walk is'} planned, and one walk bounds no median`
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
  if (walks < 2)
    return `${walks === 0 ? 'no walk is' : 'one walk is'} planned of a product, and one walk bounds no median`;
  const steps = marksM
    .slice(1)
    .flatMap((m, i) => ((marksM[i] as number) > 0 ? [m / (marksM[i] as number)] : []));
  const finest = steps.length > 0 ? Math.min(...steps) : 1;
  return finest > Math.max(ratio, 1 / ratio)
    ? `its stands are at least ${(100 * (finest - 1)).toFixed(0)} % apart, more than the ${(100 * (Math.max(ratio, 1 / ratio) - 1)).toFixed(0)} % claimed`
    : undefined;
}
