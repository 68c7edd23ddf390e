/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const invalidBracket = (heldM: number, failedM: number): string =>
  `invalid bracket: (${heldM}, ${failedM}]`;
export const invalidDay = (stringify: string): string => `invalid day: ${stringify}`;
export const invalidLengthm = (lengthM: number): string => `invalid lengthM: ${lengthM}`;
export const invalidLengthsOrExponent = (pathM: number, wantedM: number, exponent: number): string =>
  `invalid lengths or exponent: ${pathM}, ${wantedM}, ${exponent}`;
export const invalidMarksFromToM = (fromM: number, m: number): string =>
  `invalid marks: from ${fromM} to ${m} m`;
export const invalidProducts = (products: number): string => `invalid products: ${products}`;
export const invalidRatio = (ratio: number): string => `invalid ratio: ${ratio}`;
export const invalidRounds = (rounds: number): string => `invalid rounds: ${rounds}`;
export const invalidSettles = (settleS: number): string => `invalid settleS: ${settleS}`;
export const invalidSigma = (sigma: number): string => `invalid sigma: ${sigma}`;
export const invalidStepratio = (stepRatio: number): string => `invalid stepRatio: ${stepRatio}`;
export const invalidTime = (stringify: string): string => `invalid time: ${stringify}`;
export const invalidTimeouts = (timeoutS: number): string => `invalid timeoutS: ${timeoutS}`;
export const invalidTries = (tries: number): string => `invalid tries: ${tries}`;
export const invalidWalkseach = (walksEach: number): string => `invalid walksEach: ${walksEach}`;
export const isInTwoWalksAtOnce = (label: string, what: string, what2: string): string =>
  `${label} is in two walks at once: ${what} and ${what2}.`;
export const isPlannedAtBothEndsAt = (atFixedEnd: string): string =>
  `${atFixedEnd} is planned at both ends at once.`;
export const itsStandsAreAtLeastPercent = (part: string, part2: string): string =>
  `its stands are at least ${part} % apart, more than the ${part2} % claimed`;
export const noWalkIs = 'no walk is';
export const oneUnitCannotStandAtBoth = (rigLabel: string, label: string | undefined): string =>
  `${rigLabel}: one unit, ${label}, cannot stand at both ends.`;
export const oneWalkIs = 'one walk is';
export const plannedAndOneWalkBoundsNo = (either: string): string =>
  `${either} planned, and one walk bounds no median`;
export const plannedOfAProductAndOne = (either: string): string =>
  `${either} planned of a product, and one walk bounds no median`;
export const theBatteryLastsHTheWalks = (rigLabel: string, batteryH: string, neededH: string): string =>
  `${rigLabel}: the battery lasts ${batteryH} h, the walks from first to last take ${neededH} h. Plan a change.`;
export const thePathEndsAtSoThat = (formatLength: string, formatLength2: string): string =>
  `the path ends at ${formatLength}, so that no walk on it can go beyond ${formatLength2}`;
