import type { Evaluation } from './evaluation.ts';
import { solveUphill } from './linear.ts';

export interface Maximum<E extends Evaluation = Evaluation> {
  readonly at: Float64Array;
  readonly value: number;
  readonly evaluation: E;
  /** False when the steps ran out: the supremum lies at infinity, and `value` is close below it. */
  readonly converged: boolean;
}

const MAX_STEPS = 200;
/** Of a step: where less of it does not lead upwards, the arithmetic is at its end. */
const LEAST_SHARE = 1e-7;

/**
 * Maximises a concave function by Newton's method with halving. The decrement g·H⁻¹·g bounds what is left
 * to gain, so the test does not depend on units; below `settled` it ends, and as soon as the value is
 * `enough`.
 * @param seen what f is at the start, where that is known
 * @throws RangeError when the start has no likelihood.
 */
export function maximise<E extends Evaluation>(
  f: (at: Float64Array) => E,
  start: Float64Array,
  settled = 1e-20,
  enough = Infinity,
  seen = f(start),
): Maximum<E> {
  let at = start;
  let now = seen;
  if (!Number.isFinite(now.value)) throw new RangeError(`invalid start: ${Array.from(start).join(', ')}`);
  for (let step = 0; step < MAX_STEPS; step++) {
    const direction = newtonDirection(now);
    const decrement = direction.reduce((sum, d, i) => sum + d * (now.gradient[i] as number), 0);
    if (decrement < settled || now.value >= enough)
      return { at, value: now.value, evaluation: now, converged: true };
    const next = lineSearch(f, at, now, direction, decrement);
    if (!next) return { at, value: now.value, evaluation: now, converged: decrement < 1e-8 };
    [at, now] = [next.at, next.evaluation];
  }
  return { at, value: now.value, evaluation: now, converged: false };
}

/** −H⁻¹g, of a neighbour of −H where H bends upwards. */
function newtonDirection({ gradient, hessian }: Evaluation): Float64Array {
  const bend = hessian.slice();
  for (let i = 0; i < bend.length; i++) bend[i] = -(bend[i] as number);
  return solveUphill(bend, gradient);
}

function lineSearch<E extends Evaluation>(
  f: (at: Float64Array) => E,
  at: Float64Array,
  now: E,
  direction: Float64Array,
  decrement: number,
): { at: Float64Array; evaluation: E } | undefined {
  for (let t = 1; t > LEAST_SHARE; t /= 2) {
    const candidate = at.map((v, i) => v + t * (direction[i] as number));
    const evaluation = f(candidate);
    if (evaluation.value >= now.value + 1e-4 * t * decrement) return { at: candidate, evaluation };
    // Full steps at the top gain less than the sum can show: take one, then stop on the decrement.
    if (t === 1 && decrement < 1e-10 && evaluation.value >= now.value - 1e-9)
      return { at: candidate, evaluation };
  }
  return undefined;
}
