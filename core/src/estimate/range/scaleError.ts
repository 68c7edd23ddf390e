import { Z95 } from '../../numeric/normal.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import type { Ends } from './ends.ts';
import * as phrases from './phrases.ts';

/**
 * The error that is common to distances by one method: it does not average out over walks. `u`: standard
 * uncertainty of ln distance.
 */
export interface ScaleError {
  readonly u: number;
  /** The method that carries most of it; absent where there is none. */
  readonly method: string | undefined;
  /** Most of it is of the fixed end's own place, or of the operator's mean: no method would take it away. */
  readonly additive?: true;
}

/** Of a judgement by eye the error is a person's on a day; a wheel's is the wheel's. */
const BY_EYE = phrases.byEye;

interface Share {
  readonly method: string;
  readonly u: number;
  /** Of the walks, by which the location is a mean. */
  share: number;
}

function sharesOf(walks: readonly WalkInterval[]): Map<string, Share> {
  const shares = new Map<string, Share>();
  for (const { method = '', scaleU = 0, outing = '' } of walks) {
    const key = method === BY_EYE ? `${method}/${outing}` : `${method}/${scaleU}`;
    const known = shares.get(key);
    if (known) known.share += 1 / walks.length;
    else shares.set(key, { method, u: scaleU, share: 1 / walks.length });
  }
  return shares;
}

function together(parts: readonly Share[]): ScaleError {
  const most = parts.reduce<Share | undefined>(
    (a, b) => (a && Math.abs(a.share * a.u) >= Math.abs(b.share * b.u) ? a : b),
    undefined,
  );
  const u = Math.hypot(...parts.map((p) => p.share * p.u));
  return { u, method: u > 0 ? most?.method : undefined };
}

/** Scale error of a location that is a mean over some walks. */
export const scaleErrorOf = (walks: readonly WalkInterval[]): ScaleError =>
  together([...sharesOf(walks).values()]);

/** What is left of it in a ratio: what both share by one method (by eye: on one day) cancels. */
export function scaleErrorOfRatio(
  numerator: readonly WalkInterval[],
  denominator: readonly WalkInterval[],
): ScaleError {
  const [a, b] = [sharesOf(numerator), sharesOf(denominator)];
  return together(
    [...new Set([...a.keys(), ...b.keys()])].map((key) => ({
      ...((a.get(key) ?? b.get(key)) as Share),
      share: (a.get(key)?.share ?? 0) - (b.get(key)?.share ?? 0),
    })),
  );
}

const offsetOf = (walks: readonly WalkInterval[]): number =>
  walks.reduce((most, { offsetUM = 0 }) => Math.max(most, offsetUM), 0);

/** The fixed end's own place is known to ± u metres: of a location that many metres off, u/D. */
export const withOffset = (
  scale: ScaleError,
  walks: readonly WalkInterval[],
  atM: number | undefined,
): ScaleError => withAdditive(scale, atM === undefined ? 0 : offsetOf(walks) / atM);

const withAdditive = ({ u, method }: ScaleError, more: number): ScaleError => ({
  u: Math.hypot(u, more),
  method,
  ...(more > u ? { additive: true as const } : {}),
});

/** In a ratio it is u·|1/D_A − 1/D_B|: nothing is left of it where both reach equally far. */
export const withOffsetOfRatio = (
  scale: ScaleError,
  samples: readonly (readonly WalkInterval[])[],
  [aM, bM]: readonly [number | undefined, number | undefined],
): ScaleError =>
  withAdditive(
    scale,
    aM === undefined || bM === undefined ? 0 : Math.max(...samples.map(offsetOf)) * Math.abs(1 / aM - 1 / bM),
  );

/** One-sided 95 %: what a bare bound moves by. */
const Z95_ONE_SIDED = 1.6448536269514722;

/**
 * Ends of a 95 % interval with a scale error: each finite end moves on its own, its distance h from the
 * estimate, on the log scale, becoming √(h² + (1.960 u)²); an open end stays open. Without an estimate the
 * middle of two ends stands for it, and one end alone is a bare bound.
 */
export function withScaleError({ low, high }: Ends, estimate: number | undefined, u: number): Ends {
  if (!(u >= 0)) throw new RangeError(phrases.invalidU(u));
  if (u === 0) return { low, high };
  const centre = estimate ?? (low !== undefined && high !== undefined ? Math.sqrt(low * high) : undefined);
  if (centre === undefined)
    return { low: low && boundWithScaleError(low, -1, u), high: high && boundWithScaleError(high, 1, u) };
  const end = (m: number | undefined, side: 1 | -1): number | undefined =>
    m === undefined ? undefined : centre * Math.exp(side * Math.hypot(Math.log(m / centre), Z95 * u));
  return { low: end(low, -1), high: end(high, 1) };
}

/** A bound that is no interval's end, 95 % one-sided. Worked value: 90 m by eye (u = ln 1.3): 58.5 m. */
export const boundWithScaleError = (m: number, side: 1 | -1, u: number): number =>
  m * Math.exp(side * Z95_ONE_SIDED * u);

/** Below this nobody would see it, ln distance: half a per cent. */
const NOTED = 0.005;

/** "distances by eye, all of which may be 1.67 times off"; undefined where there is nothing to say. */
export function scaleText({ u, method, additive }: ScaleError): string | undefined {
  if (u < NOTED) return undefined;
  const factor = phrases.offByAFactorOf(Math.exp(Z95 * u).toFixed(2));
  return additive
    ? phrases.theFixedEndsPlaceAndThe(factor)
    : phrases.distancesWhichMayAllBe(method === undefined ? '' : `${byMethod(method)}, `, factor);
}

/** "about 90 m by eye", "about 90 m": a distance with what it is known by, where that is what it is off by. */
export const aboutText = (distance: string, { method, additive }: ScaleError): string =>
  phrases.about(distance, additive || method === undefined ? '' : ` ${byMethod(method)}`);

/** "by eye", "by wheel". */
export const byMethod = (method: string): string => (method.startsWith('by ') ? method : phrases.by(method));
