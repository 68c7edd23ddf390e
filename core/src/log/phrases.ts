/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aTransferGivesAThroughputNot = (quantity: string): string =>
  `a transfer gives a throughput, not a ${quantity}`;
export const nothingWasReceivedAndAFigure = 'nothing was received, and a figure beside it';
export const ofItDoesNotLieBetween = (
  quantity: string,
  value: number,
  least: string | number,
  most: string | number,
): string => `${quantity} of ${value}: it does not lie between ${least} and ${most}`;
export const ofItLiesBetweenAnd = (
  quantity: string,
  value: number,
  least: number,
  most: number,
  quantityUnit: string,
): string => `${quantity} of ${value}: it lies between ${least} and ${most} ${quantityUnit}`;
