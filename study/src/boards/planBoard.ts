import {
  attenuatorDb,
  predictPath,
  walksEachToTell,
  walksToTell,
  type Path,
  type PathLink,
} from '@urvek/core';
import type { Product, ProductClaim, Rig, Setup } from '@urvek/contract';
import { claimOf, claimText, distanceClaims, speaksTo } from '../judge/claims.ts';
import { memoised } from '../memo.ts';
import { farthestM } from '../results/farthest.ts';
import type { SetupPath } from '../results/findings.ts';
import { claimedRatios } from '../plan/claimedRatios.ts';
import { pathLinkOf } from '../plan/link.ts';
import { OUTRUN, plannedPaths, plannedRigs, planState, type Walked } from '../plan/plannedWalks.ts';

/**
 * What the walks of a cell will come to: they can settle its claim; they tell the difference that matters; the path
 * ends first, and they will be a bound; they are too few for what is asked.
 */
export type Outlook = 'settles' | 'tells' | 'bound' | 'too few';

/** A rig on a path, as planned. */
export interface PlanCell {
  readonly id: string;
  readonly product: Product;
  readonly rig: Rig;
  readonly path: SetupPath;
  readonly made: number;
  readonly wanted: number;
  readonly outlook: Outlook;
  /** The figure beside its shape: walks it takes, or the share of the claim that the path reaches. */
  readonly figure?: string;
  /** In a few words, and in a sentence. */
  readonly short: string;
  readonly why: string;
}

export interface PlanBoard {
  readonly paths: readonly SetupPath[];
  readonly rows: readonly {
    readonly product: Product;
    readonly rig: Rig;
    readonly cells: readonly PlanCell[];
  }[];
}

/** Rigs by paths: the walks made and to make, and whether they will decide anything. */
export function planBoard(setup: Setup, walks: readonly Walked[]): PlanBoard {
  const paths = plannedPaths(setup);
  const rigs = plannedRigs(setup);
  const slots = planState(setup, walks);
  const several = (product: Product): boolean =>
    rigs.filter((r) => r.product.kindId === product.kindId).length > 1;
  return {
    paths,
    rows: rigs.map(({ product, rig }) => ({
      product,
      rig,
      cells: paths.map((path): PlanCell => {
        const own = slots.filter(
          ({ item }) => item.path.id === path.id && item.product.id === product.id && item.rig.id === rig.id,
        );
        return {
          id: `${path.id}~${product.id}~${rig.id}`,
          ...{ product, rig, path },
          made: own.filter((s) => s.walk).length,
          wanted: own.length,
          ...outlookOf(setup, product, rig, path, several(product)),
        };
      }),
    })),
  };
}

type Told = Pick<PlanCell, 'outlook' | 'figure' | 'short' | 'why'>;

/** The claims decide first: what a path can never settle, what its walks are too few for, what they will settle. */
function outlookOf(setup: Setup, product: Product, rig: Rig, path: SetupPath, compared: boolean): Told {
  const { walksEach, sigma, ratio } = setup.plan;
  const reachM = farthestM(path);
  const predictedM = predictedOn(product, rig, path);
  const claims = distanceClaims(product).filter((c) => speaksTo(path, c));
  const beyond = claims.map((c) => ({ claim: c, ...claimOf(c) })).find((c) => c.distanceM > reachM);
  if (beyond)
    return {
      outlook: 'bound',
      figure: `${Math.round((100 * reachM) / beyond.distanceM)} %`,
      short: `reaches ${Math.round((100 * reachM) / beyond.distanceM)} % of its claim`,
      why: `The path reaches ${times(reachM / beyond.distanceM)} the claim of ${claimText(beyond.claim)}: no walk on it can support it. ${attenuated(reachM, beyond.distanceM)}`,
    };
  if (predictedM === 'beyond')
    return {
      outlook: 'bound',
      short: 'a bound: held to the end',
      why: 'It is predicted to hold to the end of the path: that gives a bound. Choose a longer path, or an attenuator.',
    };
  const [first] = claims;
  if (first) return forClaim(setup, first, reachM, predictedM);
  const claimed = claimedRatios(setup, product.id).filter((r) => r > 0 && r !== 1);
  const asked = claimed.sort((a, b) => Math.abs(Math.log(a)) - Math.abs(Math.log(b)))[0] ?? ratio;
  if (!compared || !(asked > 0 && asked !== 1 && sigma > 0))
    return {
      outlook: 'tells',
      short: 'gives an estimate',
      why: `Nothing of its kind is compared with it; two walks or more give an estimate.${predictedText(predictedM)}`,
    };
  const needed = walksEachToTell(asked, sigma);
  if (needed === undefined || needed > walksEach)
    return {
      outlook: 'too few',
      ...(needed === undefined ? {} : { figure: String(needed) }),
      short: needed === undefined ? `too few for ×${asked}` : `too few: ×${asked} needs ${needed}`,
      why:
        needed === undefined
          ? `A factor of ${asked} is within this spread: no practicable number of walks tells it.`
          : `To tell a factor of ${asked} with this spread takes about ${needed} walks of each; ${walksEach} are planned.`,
    };
  return {
    outlook: claimed.length > 0 ? 'settles' : 'tells',
    short: claimed.length > 0 ? `can settle ×${asked}` : `tells ×${asked} apart`,
    why: `${walksEach} walks of each tell a factor of ${asked} with this spread.${predictedText(predictedM)}`,
  };
}

/** A claim of distance that the path outreaches; a prediction tells whether the walks are enough. */
function forClaim(
  { plan: { walksEach, sigma } }: Setup,
  claim: ProductClaim,
  reachM: number,
  predictedM: number | 'beyond' | undefined,
): Told {
  const { distanceM } = claimOf(claim);
  const needed =
    typeof predictedM === 'number' && predictedM !== distanceM && sigma > 0
      ? (walksToTell(Math.abs(Math.log(predictedM / distanceM)), sigma) ?? Infinity)
      : 0;
  const short = reachM < OUTRUN * distanceM;
  const path = `The path reaches ${times(reachM / distanceM)} the claim of ${claimText(claim)}${short ? `, less than ${OUTRUN}×: a walk that holds to the end gives a bound. ${attenuated(reachM, distanceM)}` : '.'}`;
  if (needed > walksEach)
    return {
      outlook: 'too few',
      ...(Number.isFinite(needed) ? { figure: String(needed) } : {}),
      short: Number.isFinite(needed) ? `too few: its claim needs ${needed}` : 'too near its claim',
      why: `${path}${predictedText(predictedM)} ${Number.isFinite(needed) ? `If that is right, about ${needed} walks settle the claim; ${walksEach} are planned.` : 'If that is right, it lies too near the claim for a practicable number of walks.'}`,
    };
  return { outlook: 'settles', short: 'can settle its claim', why: `${path}${predictedText(predictedM)}` };
}

const times = (factor: number): string => `${factor < 1 ? factor.toFixed(2) : factor.toFixed(1)}×`;

const attenuated = (reachM: number, claimM: number): string =>
  `An attenuator of ${attenuatorDb(reachM, OUTRUN * claimM, 2).toFixed(0)} dB would do instead (exponent 2).`;

const predictedText = (predictedM: number | 'beyond' | undefined): string =>
  typeof predictedM === 'number' ? ` Predicted: first dropout at ${predictedM.toFixed(0)} m.` : '';

/** First dropout as predicted; undefined where too little is stated to predict it. */
function predictedOn(product: Product, rig: Rig, path: SetupPath): number | 'beyond' | undefined {
  const link = pathLinkOf(product, rig);
  return link && firstDropout({ link, path });
}

/** The same for every keystroke in the plan, which changes neither. */
const firstDropout = memoised(
  (asked) => JSON.stringify(asked),
  ({ link, path }: { readonly link: PathLink; readonly path: SetupPath }): number | 'beyond' =>
    predictPath(path as Path, link, 2).events.find((e) => e.criterion === 'first dropout')?.medianM ??
    'beyond',
  1000,
);
