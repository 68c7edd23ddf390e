import { EMPTY_SETUP, newRig, type Setup } from '@urvek/contract';
import type { WalkMode } from '@urvek/core';
import * as phrases from './phrases.ts';

/** A question to start from: how one walks for it, and nothing of what is not known yet. */
export interface Template {
  readonly kindId: string;
  readonly question: string;
  /** Whose question, with the names of what is compared. */
  readonly asked: (names: readonly string[]) => string;
  readonly mode: WalkMode;
  /** Walks of each product; with three or more each, medians and their ratio have bounds. */
  readonly walksEach: number;
}

const all = (names: readonly string[]): string => new Intl.ListFormat('en-GB').format(names);

/** One for each kind that is walked with; how one walks for it is common practice. */
export const TEMPLATES: readonly Template[] = [
  {
    kindId: 'video-link',
    question: phrases.howFarDoesThePictureHold,
    asked: (names) => phrases.howFarDoesThePictureOf(all(names)),
    mode: 'continuous',
    walksEach: 4,
  },
  {
    kindId: 'microphone',
    question: phrases.whereDoesTheVoiceDropOut,
    asked: (names) => phrases.howFarFromTheReceiverDoes(all(names)),
    mode: 'continuous',
    walksEach: 4,
  },
  {
    kindId: 'speaker',
    question: phrases.howFarMayThePhoneBe,
    asked: (names) => phrases.howFarMayThePhoneBe2(all(names)),
    mode: 'continuous',
    walksEach: 4,
  },
  {
    kindId: 'router',
    question: phrases.whereIsItStillFastEnough,
    asked: (names) => phrases.toWhereAreFastEnough(all(names)),
    mode: 'indoor',
    walksEach: 3,
  },
  {
    kindId: 'remote',
    question: phrases.fromHowFarDoesItAnswer,
    asked: (names) => phrases.fromHowFarDoAnswerA(all(names)),
    mode: 'hits',
    walksEach: 3,
  },
  {
    kindId: 'two-way-radio',
    question: phrases.whoHearsWhomAndToWhere,
    asked: (names) => phrases.toWhereDoHearEachOther(all(names)),
    mode: 'stop and call',
    walksEach: 3,
  },
];

/** All that a template asks. */
export interface FromTemplate {
  readonly template: Template;
  readonly names: readonly string[];
  /** Length of the path, m: where it ends, not how far anything reaches. */
  readonly lengthM: number;
  readonly walksEach: number;
}

/** Posts of the path: so many, evenly spaced, the last at its end. */
const POSTS = 10;

/** Kit, one straight path with posts, and plan from a few answers; all else is not stated. */
export function setupFromTemplate(
  { template, names, lengthM, walksEach }: FromTemplate,
  newId: () => string,
): Setup {
  if (!(lengthM > 0 && lengthM < Infinity)) throw new RangeError(phrases.invalidLengthm(lengthM));
  return {
    ...EMPTY_SETUP,
    products: names.map((name) => {
      const unitId = newId();
      return {
        id: newId(),
        name,
        kindId: template.kindId,
        claims: [],
        units: [{ id: unitId, label: 'A', history: '' }],
        rigs: [newRig(newId(), unitId)],
        simulatedGear: { requiredDbm: -88, bodyLossOutDb: 8, bodyLossBackDb: 2 },
      };
    }),
    paths: [
      {
        id: newId(),
        name: phrases.thePath,
        condition: 'unstated',
        model: 'two-slope',
        distanceMethod: 'by eye',
        hazards: '',
        permission: '',
        legs: [{ lengthM, bearingDeg: 0, riseM: 0, exposure: 'open' }],
        obstructions: [],
        checkpoints: Array.from({ length: POSTS }, (_, i) => ({
          name: phrases.post(i + 1),
          atM: i + 1 === POSTS ? lengthM : Math.round((lengthM * (i + 1) * 10) / POSTS) / 10,
        })),
      },
    ],
    plan: { ...EMPTY_SETUP.plan, walksEach, mode: template.mode },
  };
}
