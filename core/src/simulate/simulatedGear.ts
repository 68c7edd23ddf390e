import { NEAREST_M } from '../propagation/routePoint.ts';
import { pathLengthM, type Path } from '../geometry/path.ts';
import { separationAtM } from '../geometry/separation.ts';
import type { Grade } from '../grade/grade.ts';
import { inTheWayOf } from '../propagation/obstructions.ts';
import { twoSlopeLossDb } from '../propagation/pathLoss.ts';
import { obstructionLossDb } from '../propagation/predict.ts';
import { WALKING_MPS } from '../quantity/pace.ts';
import { seeded, type Random } from '../random/seeded.ts';
import { shadowingField } from './shadowing.ts';

/** What simulated gear plays: a wheel, a link, and the grade of what comes through. All invented. */
export interface SimulatedGear {
  readonly productSeed: string;
  readonly frequencyMHz: number;
  readonly eirpDbm: number;
  readonly receiveGainDbi: number;
  /** Level at which the link is just lost. */
  readonly requiredDbm: number;
  readonly heightsM: readonly [fixed: number, mobile: number];
  /** Loss through the walker's body on the way out (the back is to the fixed end) and on the way back. */
  readonly bodyLossDb: readonly [out: number, back: number];
}

/** What holds for the place and the day, not for the product. */
export interface SimulatedSite {
  readonly shadowingSdDb: number;
  readonly decorrelationM: number;
  /** Of the shadowing of two products in one place. */
  readonly productCorrelation: number;
  /** Between walks: body, orientation, drift. */
  readonly walkSdDb: number;
  readonly ricianKDb: number;
  readonly wheelScaleSd: number;
}

export const SIMULATED_SITE: SimulatedSite = {
  shadowingSdDb: 3,
  decorrelationM: 12,
  productCorrelation: 0.8,
  walkSdDb: 2.5,
  ricianKDb: 9,
  wheelScaleSd: 0.002,
};

/** Link margin above which each grade is reached, dB: a digital link falls off a cliff. */
const MARGIN_DB: readonly (readonly [Grade, number])[] = [
  [5, 8],
  [4, 5],
  [3, 3],
  [2, 0],
];

/** After a loss the link must have this margin, this long, before it locks again. */
const RELOCK = { marginDb: 3, holdS: 2 } as const;
/** A better grade shows only after this long. */
const RECOVER_S = 1.5;

export const TICK_S = 0.1;
/** No link budget nearer than this: the far field has not begun. */

export interface Tick {
  readonly tS: number;
  readonly travelledM: number;
  readonly separationM: number;
  /** What the wheel's counter shows. */
  readonly wheelM: number;
  readonly marginDb: number;
  readonly grade: Grade;
  readonly returning: boolean;
  /** At the end of the path, or back at the fixed end. */
  readonly standing: boolean;
}

export interface SimulatedGearWalk {
  step(): Tick;
  turn(): void;
}

/**
 * Plays one walk in steps of TICK_S. Shadowing is drawn once per path and product (from their seeds);
 * drift, fading and the wheel's scale are drawn per walk (from `walkSeed`). Deterministic: the same seeds
 * and the same turns give the same walk, so that a page that was reloaded can play up to where it was.
 */
export function startWalk(
  simulatedGear: SimulatedGear,
  path: Path,
  walkSeed: string,
  site: SimulatedSite = SIMULATED_SITE,
): SimulatedGearWalk {
  const random = seeded('walk', walkSeed);
  const lengthM = pathLengthM(path);
  const lossDb = mediumLoss(simulatedGear, path, lengthM, site);
  const walkDb = site.walkSdDb * random.normal();
  const wheelScale = 1 + site.wheelScaleSd * random.normal();
  const hearing = graded();
  let [tick, travelledM, wheelM, pace, returning] = [0, 0, 0, 0, false];

  function step(): Tick {
    if (tick > 0) {
      pace = 0.98 * pace + 0.02 * random.normal();
      const stepM = Math.max(0, WALKING_MPS * (1 + 0.5 * pace)) * TICK_S;
      const next = Math.min(lengthM, Math.max(0, travelledM + (returning ? -stepM : stepM)));
      wheelM += (next - travelledM) * wheelScale;
      travelledM = next;
    }
    const tS = tick++ * TICK_S;
    const marginDb =
      simulatedGear.eirpDbm +
      simulatedGear.receiveGainDbi -
      simulatedGear.requiredDbm -
      lossDb(travelledM) -
      simulatedGear.bodyLossDb[returning ? 1 : 0] +
      walkDb +
      fadingDb(random, site.ricianKDb);
    return {
      tS,
      travelledM,
      marginDb,
      wheelM,
      returning,
      separationM: separationAtM(path, travelledM),
      grade: hearing(marginDb),
      standing: returning ? travelledM === 0 : travelledM === lengthM,
    };
  }
  return {
    step,
    turn: () => {
      returning = true;
    },
  };
}

/**
 * Two-slope loss, obstructions passed and shadowing; the product's own share of the shadowing is
 * uncorrelated.
 */
function mediumLoss(
  simulatedGear: SimulatedGear,
  path: Path,
  lengthM: number,
  site: SimulatedSite,
): (travelledM: number) => number {
  const { shadowingSdDb, decorrelationM, productCorrelation } = site;
  const common = shadowingField(
    `${path.id}/${Math.round(simulatedGear.frequencyMHz / 100)}`,
    lengthM,
    shadowingSdDb,
    decorrelationM,
  );
  const own = shadowingField(
    `${path.id}/${simulatedGear.productSeed}`,
    lengthM,
    shadowingSdDb,
    decorrelationM,
  );
  const [shareCommon, shareOwn] = [Math.sqrt(productCorrelation), Math.sqrt(1 - productCorrelation)];
  const between = inTheWayOf(path);
  return (travelledM) => {
    const distanceM = Math.max(NEAREST_M, separationAtM(path, travelledM));
    const inTheWay = {
      model: 'two-slope',
      frequencyMHz: simulatedGear.frequencyMHz,
      heightsM: simulatedGear.heightsM,
      obstructions: between(travelledM).obstructions,
    } as const;
    return (
      twoSlopeLossDb(simulatedGear.frequencyMHz, distanceM, simulatedGear.heightsM) +
      obstructionLossDb(inTheWay, distanceM) +
      shareCommon * common(travelledM) +
      shareOwn * own(travelledM)
    );
  };
}

/** Rician fading of the better of two branches, dB about the local mean. */
function fadingDb(random: Random, ricianKDb: number): number {
  const k = 10 ** (ricianKDb / 10);
  const branch = (): number => {
    const scatter = Math.sqrt(1 / (2 * (k + 1)));
    return (Math.sqrt(k / (k + 1)) + scatter * random.normal()) ** 2 + (scatter * random.normal()) ** 2;
  };
  return 10 * Math.log10(Math.max(branch(), branch(), 1e-6));
}

/**
 * Grade with hysteresis, from the margin smoothed over half a second: worse at once, better after a while.
 */
function graded(): (marginDb: number) => Grade {
  let now: Grade | undefined;
  let smooth: number | undefined;
  let betterForS = 0;
  return (marginDb) => {
    smooth = smooth === undefined ? marginDb : smooth + 0.2 * (marginDb - smooth);
    const heard = gradeOfMargin(smooth);
    if (now === undefined || heard <= now) {
      now = heard;
      betterForS = 0;
      return now;
    }
    const locked = now > 1 || smooth >= RELOCK.marginDb;
    betterForS = locked ? betterForS + TICK_S : 0;
    if (betterForS > (now > 1 ? RECOVER_S : RELOCK.holdS)) {
      now = heard;
      betterForS = 0;
    }
    return now;
  };
}

/** What comes through at a margin; no hysteresis. */
export const gradeOfMargin = (marginDb: number): Grade =>
  MARGIN_DB.find(([, least]) => marginDb >= least)?.[0] ?? 1;
