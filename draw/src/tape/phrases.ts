import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const agreesWithEveryWalk = (commonText: string, n: string, either: string): string =>
  `${commonText} agrees with every walk (${n})${either}`;
export const andMore = (toldCount: number): string => `and ${toldCount} more`;
export const at = (show: string, either: string): string => `at ${show}${either}`;
export const at2 = (name: string, show: string): string => `${name} at ${show}`;
export const betweenAnd = (show: string, show2: string): string => `between ${show} and ${show2}`;
export const beyond = (show: string): string => `, beyond ${show}`;
export const beyondThisTape = (said: string): string => `${said} (beyond this tape)`;
export const byItsOwnSpread = 'by its own spread';
export const claim = (label: string): string => `claim ${label}`;
export const countedWalks = (n: number): string => countOf(n, 'walk');
export const failedPlaceUnknown = (either: string, either2: string): string =>
  `failed, place unknown${either}${either2}`;
export const failedWhere = 'failed, where?';
export const fixedEnd = 'fixed end';
export const fromTo = (state: string, show: string, show2: string): string =>
  `${state} from ${show} to ${show2}`;
export const heldToAndDidNotFail = (show: string): string => `held to ${show} and did not fail`;
export const heldToFailed = (show: string, either: string, show2: string): string =>
  `held to ${show}, failed ${either} ${show2}`;
export const heldToFailedBy = (show: string, show2: string): string => `held to ${show}, failed by ${show2}`;
export const heldToTheEndAtLeast = (aboutText: string, show: string, walks: number): string =>
  `held to the end, ${aboutText}: at least ${show} (n = ${walks})`;
export const here = (formatLength: string): string => `here: ${formatLength}`;
export const here2 = (show: string): string => `here ${show}`;
export const invalidLengthm = (lengthM: number): string => `invalid lengthM: ${lengthM}`;
export const itsOwnWalksBoundNone = 'its own walks bound none';
export const lessThan = (show: string): string => `less than ${show}`;
export const median95Percent = (show: string, range: string, n: string): string =>
  `median ${show} (95 %: ${range}; ${n})`;
export const median95Percent2 = (range: string): string => `; median 95 %: ${range}`;
export const medianNoBoundWithinTenTimes = (show: string, n: string): string =>
  `median ${show} (no bound within ten times what was observed; ${n})`;
export const mindAt = (what: string, show: string): string => `mind ${what} at ${show}`;
export const moreThan = (show: string): string => `more than ${show}`;
export const moreThanInOfWalks = (show: string, walks: number): string =>
  `more than ${show} in ${walks} of ${walks} walks`;
export const n0Db = '0 dB';
export const noFartherThan = (show: string): string => `, no farther than ${show}`;
export const noWalkWithAnOutcome = 'no walk with an outcome';
export const notEstimable = 'not estimable';
export const placesKnownTheFarthestAt = (marksCount: number, show: string): string =>
  `${marksCount} places known, the farthest at ${show}`;
export const predictedMargin = 'predicted margin';
export const predictedMarginAlongTheRoute = (label: string): string =>
  `${label}: predicted margin along the route`;
export const somewhereBefore = 'somewhere before';
export const tapeOf = (show: string): string => `Tape of ${show}`;
export const theWayBack = 'the way back';
export const theWayOut = 'the way out';
export const to = (show: string, show2: string): string => `${show} to ${show2}`;
export const walk = (label: string): string => `   walk ${label}`;
