import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const against = (setting: string, over: string): string => `${setting} against ${over}`;
export const anotherInstrument = 'another instrument';
export const at = (figure: string, entered: string): string => `${figure} at ${entered}`;
export const byBarsBarsHaveAnOrder = (settings: string): string =>
  `By bars: ${settings}. Bars have an order and no unit: nothing is reckoned from them.`;
export const checkpointsAreNotTheSamePoints = (missingCount: number): string =>
  `${missingCount} checkpoints are not the same points`;
export const conditionUnstated = 'condition unstated';
export const countedRepeats = (n: number): string => countOf(n, 'repeat');
export const inDistanceBetweenExponent2And = (open: string, ground: string): string =>
  `in distance between ×${open} (exponent 2) and ×${ground} (exponent 4)`;
export const isBestAgainst = (setting: string, over: string): string => `${setting} is best, against ${over}`;
export const itDoesNotSayAgainstWhich = (others: string): string =>
  `It does not say against which rig: ${others}. Choose one in Kit.`;
export const itDoesNotSayWhichProduct = 'It does not say which product it is against: choose one in Kit.';
export const itIsJudgedOnWhatWas = 'It is judged on what was measured, path or no path.';
export const itsPlanJudgedByThisOne = (b: string | undefined, a: string | undefined): string =>
  `its plan judged by “${b}”, this one judges by “${a}”`;
export const moreThanTheRepeatsDiffer = ', more than the repeats differ';
export const noPathOfThePlanIs = (condition: string): string => `no path of the plan is ${condition}`;
export const noSettingWasReadTwiceHow =
  'No setting was read twice: how far readings of one setting lie apart is not known, and none is named best.';
export const noneIsNamedBest = ': none is named best';
export const notLargerThanWhatTheSpread = (either: string): string =>
  `, not larger than what the spread of repeats allows${either}`;
export const nothingWasReadYet = 'Nothing was read yet.';
export const readAgainWithAnotherInstrumentOr =
  'Read again with another instrument, or against a server that is known to be behind the line.';
export const readMbitSThroughALine = (
  instrument: string,
  readMbps: string,
  either: string,
  planMbps: string,
): string =>
  `${instrument} read ${readMbps} Mbit/s ${either} through a line sold as ${planMbps}: what shows ` +
  'the impossible on one axis is doubted on all.';
export const readingsOfOneSettingLieApart = (repeatSd: string, unit: string, countOf: string): string =>
  `Readings of one setting lie ${repeatSd} ${unit} apart (standard deviation of ${countOf}).`;
export const theInstrumentWhichNobodyNamed = 'The instrument, which nobody named,';
export const thePathWasThenAndIs = (condition: string, condition2: string): string =>
  `the path was ${condition} then and is ${condition2} now`;
export const theyWereReadInBlocksA =
  'They were read in blocks: a drift of the day looks like a setting. Read them again in mixed order.';
export const to = (least: number, most: number): string => `${least} to ${most}`;
export const toWhere = (figure: string): string => `${figure}: to where`;
export const upTo = 'up to ';
export const whichBeatsTheRepeats = ', which beats the repeats';
