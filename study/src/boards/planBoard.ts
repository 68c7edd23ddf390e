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
import * as phrases from './phrases.ts';

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
      short: phrases.reachesPercentOfItsClaim(Math.round((100 * reachM) / beyond.distanceM)),
      why: phrases.thePathReachesTheClaimOf(
        times(reachM / beyond.distanceM),
        claimText(beyond.claim),
        attenuated(reachM, beyond.distanceM),
      ),
    };
  if (predictedM === 'beyond')
    return {
      outlook: 'bound',
      short: phrases.aBoundHeldToTheEnd,
      why: phrases.itIsPredictedToHoldTo,
    };
  const [first] = claims;
  if (first) return forClaim(setup, first, reachM, predictedM);
  const claimed = claimedRatios(setup, product.id).filter((r) => r > 0 && r !== 1);
  const asked = claimed.sort((a, b) => Math.abs(Math.log(a)) - Math.abs(Math.log(b)))[0] ?? ratio;
  if (!compared || !(asked > 0 && asked !== 1 && sigma > 0))
    return {
      outlook: 'tells',
      short: phrases.givesAnEstimate,
      why: phrases.nothingOfItsKindIsCompared(predictedText(predictedM)),
    };
  const needed = walksEachToTell(asked, sigma);
  if (needed === undefined || needed > walksEach)
    return {
      outlook: 'too few',
      ...(needed === undefined ? {} : { figure: String(needed) }),
      short: needed === undefined ? phrases.tooFewFor(asked) : phrases.tooFewNeeds(asked, needed),
      why:
        needed === undefined
          ? phrases.aFactorOfIsWithinThis(asked)
          : phrases.toTellAFactorOfWith(asked, needed, walksEach),
    };
  return {
    outlook: claimed.length > 0 ? 'settles' : 'tells',
    short: claimed.length > 0 ? phrases.canSettle(asked) : phrases.tellsApart(asked),
    why: phrases.walksOfEachTellAFactor(walksEach, asked, predictedText(predictedM)),
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
  const path = phrases.thePathReachesTheClaimOf2(
    times(reachM / distanceM),
    claimText(claim),
    short ? phrases.lessThanAWalkThatHolds(OUTRUN, attenuated(reachM, distanceM)) : '.',
  );
  if (needed > walksEach)
    return {
      outlook: 'too few',
      ...(Number.isFinite(needed) ? { figure: String(needed) } : {}),
      short: Number.isFinite(needed) ? phrases.tooFewItsClaimNeeds(needed) : phrases.tooNearItsClaim,
      why:
        `${path}${predictedText(predictedM)} ` +
        `${Number.isFinite(needed) ? phrases.ifThatIsRightAboutWalks(needed, walksEach) : phrases.ifThatIsRightItLies}`,
    };
  return { outlook: 'settles', short: phrases.canSettleItsClaim, why: `${path}${predictedText(predictedM)}` };
}

const times = (factor: number): string => `${factor < 1 ? factor.toFixed(2) : factor.toFixed(1)}×`;

const attenuated = (reachM: number, claimM: number): string =>
  phrases.anAttenuatorOfDbWouldDo(attenuatorDb(reachM, OUTRUN * claimM, 2).toFixed(0));

const predictedText = (predictedM: number | 'beyond' | undefined): string =>
  typeof predictedM === 'number' ? phrases.predictedFirstDropoutAtM(predictedM.toFixed(0)) : '';

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
