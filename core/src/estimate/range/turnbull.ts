import { isotonicIncreasing } from '../../numeric/isotonic.ts';
import { solveNearlyPositive } from '../../numeric/linear.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import * as phrases from './phrases.ts';

/**
 * A stretch (lower, upper] that carries mass of the estimate; a point when both are one; without upper end:
 * beyond all.
 */
export interface TurnbullMass {
  readonly lowerM: number;
  readonly upperM: number | undefined;
  readonly mass: number;
  /** Share of walks that hold beyond it. */
  readonly survivalAfter: number;
}

export interface TurnbullEstimate {
  readonly masses: readonly TurnbullMass[];
  readonly loglik: number;
  /**
   * Greatest violation of the conditions of a maximum, as a share of n: what is left to gain is below n
   * times it.
   */
  readonly kkt: number;
}

interface Innermost {
  readonly lower: number;
  readonly upper: number;
}

/**
 * Non-parametric maximum likelihood estimate of the share of walks that hold to a distance (B. W. Turnbull,
 * J. R. Statist. Soc. B 38 (1976)), for any intervals (held, failed]. Kaplan and Meier's where data are
 * only right-censored.
 *
 * The mass lies on innermost intervals. The likelihood, concave in the distribution function on them, is
 * maximised by the iterative convex minorant with EM steps between (J. A. Wellner and Y. Zhan, J. Amer.
 * Statist. Assoc. 92 (1997)), then by Newton's method on the stretches that keep mass, until the conditions
 * of Karush, Kuhn and Tucker hold.
 */
export function turnbull(walks: readonly Pick<WalkInterval, 'heldM' | 'failedM'>[]): TurnbullEstimate {
  if (walks.length === 0) return { masses: [], loglik: 0, kkt: 0 };
  const rows = distinctRows(walks);
  const inner = innermostOf(rows);
  const covers = rows.map((row) => coverOf(row, inner));
  const problem: Problem = {
    first: Int32Array.from(covers, (c) => c[0]),
    last: Int32Array.from(covers, (c) => c[1]),
    weight: Float64Array.from(rows, (r) => r.count),
    size: inner.length,
    n: walks.length,
  };
  const mass = polish(problem, climb(problem));
  const [gradient, loglik] = gradientAt(problem, mass);
  let left = 1;
  const masses = inner.flatMap(({ lower, upper }, j): TurnbullMass[] => {
    const m = mass[j] as number;
    left = Math.max(0, left - m);
    return m > 1e-9
      ? [
          {
            lowerM: lower,
            upperM: upper < Infinity ? upper : undefined,
            mass: m,
            survivalAfter: left < 1e-12 ? 0 : left,
          },
        ]
      : [];
  });
  return { masses, loglik, kkt: violation(gradient, mass, walks.length) };
}

interface Row {
  readonly lower: number;
  readonly upper: number;
  readonly count: number;
}

function distinctRows(walks: readonly Pick<WalkInterval, 'heldM' | 'failedM'>[]): Row[] {
  const rows = new Map<string, Row>();
  for (const { heldM, failedM = Infinity } of walks) {
    if (!(heldM >= 0 && failedM >= heldM)) throw new RangeError(phrases.invalidInterval(heldM, failedM));
    const key = `${heldM}/${failedM}`;
    rows.set(key, { lower: heldM, upper: failedM, count: (rows.get(key)?.count ?? 0) + 1 });
  }
  return [...rows.values()];
}

/**
 * A start followed by an end with nothing between. At one value a point starts first, then ends come, then
 * open starts.
 */
function innermostOf(rows: readonly Row[]): Innermost[] {
  const ends = rows.flatMap(({ lower, upper }) => [
    { at: lower, rank: lower === upper ? 0 : 2, start: true },
    { at: upper, rank: 1, start: false },
  ]);
  ends.sort((a, b) => a.at - b.at || a.rank - b.rank);
  return ends.flatMap((end, i) => {
    const next = ends[i + 1];
    return end.start && next && !next.start ? [{ lower: end.at, upper: next.at }] : [];
  });
}

/** First and last innermost interval inside a row; a row always holds one. */
function coverOf({ lower, upper }: Row, inner: readonly Innermost[]): [number, number] {
  const inside = (i: Innermost): boolean =>
    i.lower >= lower && i.upper <= upper && (i.upper > lower || (i.lower === lower && lower === upper));
  let low = 0;
  for (let high = inner.length; low < high;) {
    const mid = (low + high) >> 1;
    if (inside(inner[mid] as Innermost) || (inner[mid] as Innermost).lower >= lower) high = mid;
    else low = mid + 1;
  }
  while (!inside(inner[low] as Innermost)) low++;
  let last = low;
  while (last + 1 < inner.length && inside(inner[last + 1] as Innermost)) last++;
  return [low, last];
}

/** Each row covers innermost intervals `first` to `last`, `weight` times. */
interface Problem {
  readonly first: Int32Array;
  readonly last: Int32Array;
  readonly weight: Float64Array;
  readonly size: number;
  readonly n: number;
}

/** Derivative of the log-likelihood by each mass, by running sums, and the log-likelihood. */
function gradientAt({ first, last, weight, size }: Problem, mass: Float64Array): [Float64Array, number] {
  const cumulative = new Float64Array(size + 1);
  for (let j = 0; j < size; j++) cumulative[j + 1] = (cumulative[j] as number) + (mass[j] as number);
  const steps = new Float64Array(size + 1);
  let loglik = 0;
  for (let i = 0; i < first.length; i++) {
    const [a, b, w] = [first[i] as number, last[i] as number, weight[i] as number];
    const p = Math.max(1e-300, (cumulative[b + 1] as number) - (cumulative[a] as number));
    loglik += w * Math.log(p);
    steps[a] = (steps[a] as number) + w / p;
    steps[b + 1] = (steps[b + 1] as number) - w / p;
  }
  let sum = 0;
  return [Float64Array.from({ length: size }, (_, j) => (sum += steps[j] as number)), loglik];
}

/** At a maximum the derivative is n where there is mass and at most n elsewhere. */
function violation(gradient: Float64Array, mass: Float64Array, n: number): number {
  return gradient.reduce(
    (worst, g, j) => Math.max(worst, (g - n) / n, (mass[j] as number) > 1e-9 ? Math.abs(g - n) / n : 0),
    0,
  );
}

const MAX_ROUNDS = 4000;

function climb(problem: Problem): Float64Array {
  let mass = new Float64Array(problem.size).fill(1 / problem.size);
  for (let round = 0; round < MAX_ROUNDS; round++) {
    const [gradient] = gradientAt(problem, mass);
    if (violation(gradient, mass, problem.n) < 1e-7) break;
    // Self-consistency keeps every mass above zero; the convex minorant moves whole stretches at once.
    mass = mass.map((m, j) => (m * (gradient[j] as number)) / problem.n);
    mass = minorantStep(problem, mass);
  }
  return mass;
}

/** One step of the iterative convex minorant on the distribution function, with halving. */
function minorantStep(problem: Problem, mass: Float64Array): Float64Array<ArrayBuffer> {
  const { first, last, weight, size } = problem;
  const cumulative = new Float64Array(size + 1);
  for (let j = 0; j < size; j++) cumulative[j + 1] = (cumulative[j] as number) + (mass[j] as number);
  const [slope, curve] = [new Float64Array(size + 1), new Float64Array(size + 1)];
  let before = 0;
  for (let i = 0; i < first.length; i++) {
    const [a, b, w] = [first[i] as number, (last[i] as number) + 1, weight[i] as number];
    const p = Math.max(1e-300, (cumulative[b] as number) - (cumulative[a] as number));
    before += w * Math.log(p);
    slope[b] = (slope[b] as number) + w / p;
    slope[a] = (slope[a] as number) - w / p;
    curve[b] = (curve[b] as number) + w / (p * p);
    curve[a] = (curve[a] as number) + w / (p * p);
  }
  // Inner values only: the distribution is 0 before the first stretch and 1 after the last.
  const target = Float64Array.from(
    { length: size - 1 },
    (_, k) =>
      (cumulative[k + 1] as number) + (slope[k + 1] as number) / Math.max(1e-12, curve[k + 1] as number),
  );
  const fitted = isotonicIncreasing(
    target,
    Float64Array.from({ length: size - 1 }, (_, k) => Math.max(1e-12, curve[k + 1] as number)),
  );
  for (let share = 1; share > 1e-4; share /= 2) {
    const tried = new Float64Array(size);
    let previous = 0;
    for (let j = 0; j < size; j++) {
      const goal = j === size - 1 ? 1 : Math.min(1, Math.max(0, fitted[j] as number));
      const at =
        j === size - 1 ? 1 : (cumulative[j + 1] as number) + share * (goal - (cumulative[j + 1] as number));
      tried[j] = Math.max(0, at - previous);
      previous = at;
    }
    const [, loglik] = gradientAt(problem, tried);
    if (loglik >= before) return tried;
  }
  return Float64Array.from(mass);
}

/**
 * Newton's method for the masses that are not zero, their sum kept at one; a mass that would turn negative
 * is dropped, one that would gain comes back.
 */
function polish(problem: Problem, start: Float64Array): Float64Array {
  const { first, last, weight, size, n } = problem;
  let mass = start.map((m) => (m < 1e-7 ? 0 : m));
  const total = mass.reduce((a, b) => a + b, 0);
  mass = mass.map((m) => m / total);
  for (let round = 0; round < 200; round++) {
    const [gradient, loglik] = gradientAt(problem, mass);
    if (violation(gradient, mass, n) < 1e-12) break;
    const worst = gradient.reduce(
      (best, g, j) => (mass[j] === 0 && g > (gradient[best] ?? 0) ? j : best),
      gradient.findIndex((_, j) => mass[j] === 0),
    );
    const kept = Array.from({ length: size }, (_, j) => j).filter(
      (j) => (mass[j] as number) > 0 || (j === worst && (gradient[j] as number) > n * (1 + 1e-10)),
    );
    const k = kept.length;
    const place = new Map(kept.map((j, i) => [j, i]));
    // Maximise g·d − d'Hd/2 with Σd = 0: d = H⁻¹(g − λ1).
    const hessian = new Float64Array(k * k);
    const cumulative = new Float64Array(size + 1);
    for (let j = 0; j < size; j++) cumulative[j + 1] = (cumulative[j] as number) + (mass[j] as number);
    for (let i = 0; i < first.length; i++) {
      const p = Math.max(
        1e-300,
        (cumulative[(last[i] as number) + 1] as number) - (cumulative[first[i] as number] as number),
      );
      const own: number[] = [];
      for (let j = first[i] as number; j <= (last[i] as number); j++) {
        const at = place.get(j);
        if (at !== undefined) own.push(at);
      }
      const h = (weight[i] as number) / (p * p);
      for (const a of own) for (const b of own) hessian[a * k + b] = (hessian[a * k + b] as number) + h;
    }
    const [toGradient, toOne] = [
      solveNearlyPositive(
        hessian,
        Float64Array.from(kept, (j) => gradient[j] as number),
      ),
      solveNearlyPositive(hessian, new Float64Array(k).fill(1)),
    ];
    if (!toGradient || !toOne) break;
    const lambda = toGradient.reduce((a, b) => a + b, 0) / toOne.reduce((a, b) => a + b, 0);
    const direction = toGradient.map((d, i) => d - lambda * (toOne[i] as number));
    // As far as no mass turns negative.
    let most = 1;
    direction.forEach((d, i) => {
      if (d < 0) most = Math.min(most, (mass[kept[i] as number] as number) / -d);
    });
    if (!(most > 0)) {
      direction.forEach((d, i) => {
        if (d < 0 && (mass[kept[i] as number] as number) < 1e-12) mass[kept[i] as number] = 0;
      });
      continue;
    }
    let moved = false;
    for (let share = most; share > 1e-10; share /= 2) {
      const tried = mass.slice();
      kept.forEach((j, i) => {
        tried[j] = Math.max(0, (mass[j] as number) + share * (direction[i] as number));
      });
      if (share === most && most < 1)
        kept.forEach((j) => {
          if ((tried[j] as number) < 1e-14) tried[j] = 0;
        });
      if (gradientAt(problem, tried)[1] >= loglik - 1e-13 * Math.abs(loglik)) {
        mass = tried;
        moved = true;
        break;
      }
    }
    if (!moved) break;
  }
  return mass;
}

/**
 * Share of walks that hold to a distance, by the estimate: between the ends of a stretch it is not
 * determined.
 */
export function survivalAt(
  { masses }: TurnbullEstimate,
  distanceM: number,
): { readonly least: number; readonly most: number } {
  let [least, most] = [1, 1];
  for (const { lowerM, upperM, mass } of masses) {
    if (lowerM < distanceM || (lowerM === upperM && lowerM <= distanceM)) least -= mass;
    if (upperM !== undefined && upperM <= distanceM) most -= mass;
  }
  return { least: Math.max(0, least), most: Math.max(0, most) };
}
