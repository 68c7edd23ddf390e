/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const distanceAlone = 'distance alone';
export const fixedLossesAreEstimatesSetBy = 'fixed losses are estimates set by the user';
export const invalidDepthmTheModelHoldsFrom = (depthM: number, foliageLimitM: number): string =>
  `invalid depthM: ${depthM}; the model holds from 0 to ${foliageLimitM} m`;
export const invalidDistancem = (distanceM: number): string => `invalid distanceM: ${distanceM}`;
export const invalidDistancemTheModelBeginsAt = (distanceM: number): string =>
  `invalid distanceM: ${distanceM}; the model begins at 1 m`;
export const invalidDistances = (d1M: number, d2M: number): string => `invalid distances: ${d1M}, ${d2M}`;
export const invalidDuty = (duty: number): string => `invalid duty: ${duty}`;
export const invalidExponent = (exponent: number): string => `invalid exponent: ${exponent}`;
export const invalidFrequencymhz = (frequencyMHz: number): string => `invalid frequencyMHz: ${frequencyMHz}`;
export const invalidHeightratio = (heightRatio: number): string => `invalid heightRatio: ${heightRatio}`;
export const invalidHeightsm = (heightsM: string): string => `invalid heightsM: ${heightsM}`;
export const invalidNu = (nu: number): string => `invalid nu: ${nu}`;
export const invalidPowerratio = (powerRatio: number): string => `invalid powerRatio: ${powerRatio}`;
export const invalidThicknessm = (thicknessM: number): string => `invalid thicknessM: ${thicknessM}`;
export const materialOrThickness = 'material or thickness';
export const theGroundsReflectionCancelsTheDirect = 'the ground’s reflection cancels the direct ray here';
export const theTableOfWallMaterialsStarts = (slabLeastMhz: number, frequencyMHz: number): string =>
  `the table of wall materials starts at ${slabLeastMhz} MHz; at ${frequencyMHz} MHz the losses of ` +
  'walls are extrapolated';
