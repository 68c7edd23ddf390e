/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const hopsOfTheChain = 'Hops of the chain';
export const noiseInTheWiderChannel = 'noise in the wider channel';
export const theBatterysVAreAboveThe = (batteryV: number, inputMaxV: number): string =>
  `The battery's ${batteryV} V are above the input's limit of ${inputMaxV} V: do not connect them.`;
export const theBatterysVAreBelowThe = (batteryV: number, inputMinV: number): string =>
  `The battery's ${batteryV} V are below the ${inputMinV} V that the input needs.`;
export const twoRaysBeyondTheBreakPoint = 'two rays, beyond the break point';
