import { mean, standardDeviation } from '../../numeric/moments.ts';
import { welchT, type MeanOf } from '../../numeric/welchT.ts';

/** Medians of one walk, by stand. */
export type StandMedians = ReadonlyMap<string, number>;

export interface SpeedRatio {
  /** Geometric mean over the like stands of A over B. */
  readonly ratio: number;
  /** 95 %, from the walks, by Welch's t on their mean logarithms; absent with a single walk on a side. */
  readonly interval95: { readonly low: number; readonly high: number } | undefined;
  readonly stands: readonly string[];
  readonly walks: readonly [number, number];
}

export interface LikeStands {
  /** At which both had a connection on every walk. */
  readonly both: readonly string[];
  /** At which one had none, and so no ratio: "A connected at 2 of 5". */
  readonly connected: readonly [number, number];
  readonly of: number;
}

const standsOf = (walks: readonly StandMedians[]): string[] => [
  ...new Set(walks.flatMap((w) => [...w.keys()])),
];

/** The stands that both were read at, and where both had a connection on each walk that stood there. */
export function likeStands(a: readonly StandMedians[], b: readonly StandMedians[]): LikeStands {
  const inB = new Set(standsOf(b));
  const like = standsOf(a).filter((s) => inB.has(s));
  const connects = (walks: readonly StandMedians[], stand: string): boolean =>
    walks.every((w) => (w.get(stand) ?? 1) > 0);
  return {
    both: like.filter((s) => connects(a, s) && connects(b, s)),
    connected: [like.filter((s) => connects(a, s)).length, like.filter((s) => connects(b, s)).length],
    of: like.length,
  };
}

/**
 * Speed of A over that of B at like stands: never a ratio of distances. Each walk enters as the mean of its logarithms
 * over those stands; a walk that was not read at all of them is left out, since it would weigh other stands.
 * @returns undefined where no stand is left, or no walk was read at all of them
 */
export function speedRatio(
  a: readonly StandMedians[],
  b: readonly StandMedians[],
  stands: readonly string[],
): SpeedRatio | undefined {
  const logs = (walks: readonly StandMedians[]): number[] =>
    walks
      .filter((w) => stands.every((s) => (w.get(s) ?? 0) > 0))
      .map((w) => mean(stands.map((s) => Math.log(w.get(s) as number))));
  const [x, y] = [logs(a), logs(b)];
  if (stands.length === 0 || x.length === 0 || y.length === 0) return undefined;
  return {
    ratio: Math.exp(mean(x) - mean(y)),
    interval95: intervalOf(x, y),
    stands,
    walks: [x.length, y.length],
  };
}

const meanOf = (values: readonly number[]): MeanOf => ({
  mean: mean(values),
  squaredError: values.length < 2 ? 0 : standardDeviation(values) ** 2 / values.length,
  n: values.length,
});

function intervalOf(x: readonly number[], y: readonly number[]): SpeedRatio['interval95'] {
  const [a, b] = [meanOf(x), meanOf(y)];
  if (a.n < 2 || b.n < 2 || a.squaredError + b.squaredError === 0) return undefined;
  const { difference, half95 } = welchT(a, b);
  return { low: Math.exp(difference - half95), high: Math.exp(difference + half95) };
}
