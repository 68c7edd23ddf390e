/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aBoundHeldToTheEnd = 'a bound: held to the end';
export const aClaim = 'a claim';
export const aFactorOfIsWithinThis = (asked: number): string =>
  `A factor of ${asked} is within this spread: no practicable number of walks tells it.`;
export const anAttenuatorOfDbWouldDo = (attenuatorDb: string): string =>
  `An attenuator of ${attenuatorDb} dB would do instead (exponent 2).`;
export const canSettle = (asked: number): string => `can settle ×${asked}`;
export const canSettleItsClaim = 'can settle its claim';
export const givesAnEstimate = 'gives an estimate';
export const ifThatIsRightAboutWalks = (needed: number, walksEach: number): string =>
  `If that is right, about ${needed} walks settle the claim; ${walksEach} are planned.`;
export const ifThatIsRightItLies =
  'If that is right, it lies too near the claim for a practicable number of walks.';
export const itIsPredictedToHoldTo =
  'It is predicted to hold to the end of the path: that gives a bound. Choose a longer path, or an attenuator.';
export const lessThanAWalkThatHolds = (outrun: number, attenuated: string): string =>
  `, less than ${outrun}×: a walk that holds to the end gives a bound. ${attenuated}`;
export const noDistanceIsKnown = 'no distance is known';
export const nothingOfItsKindIsCompared = (predictedText: string): string =>
  `Nothing of its kind is compared with it; two walks or more give an estimate.${predictedText}`;
export const predictedFirstDropoutAtM = (predictedM: string): string =>
  ` Predicted: first dropout at ${predictedM} m.`;
export const reachesPercentOfItsClaim = (round: number): string => `reaches ${round} % of its claim`;
export const tellsApart = (asked: number): string => `tells ×${asked} apart`;
export const thePathReachesTheClaimOf = (times: string, claimText: string, attenuated: string): string =>
  `The path reaches ${times} the claim of ${claimText}: no walk on it can support it. ${attenuated}`;
export const thePathReachesTheClaimOf2 = (times: string, claimText: string, either: string): string =>
  `The path reaches ${times} the claim of ${claimText}${either}`;
export const toTellAFactorOfWith = (asked: number, needed: number, walksEach: number): string =>
  `To tell a factor of ${asked} with this spread takes about ${needed} walks of each; ${walksEach} are planned.`;
export const tooFewFor = (asked: number): string => `too few for ×${asked}`;
export const tooFewItsClaimNeeds = (needed: number): string => `too few: its claim needs ${needed}`;
export const tooFewNeeds = (asked: number, needed: number): string => `too few: ×${asked} needs ${needed}`;
export const tooNearItsClaim = 'too near its claim';
export const walksOfEachTellAFactor = (walksEach: number, asked: number, predictedText: string): string =>
  `${walksEach} walks of each tell a factor of ${asked} with this spread.${predictedText}`;
