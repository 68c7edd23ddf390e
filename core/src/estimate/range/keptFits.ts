import { byIdentity } from '../../memo/byIdentity.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { fitRanges, type NoFit, type RangeFit } from './fit.ts';
import { ONE_LOCATION, PRODUCTS_ONLY, type Levels } from './levels.ts';

/**
 * Fits that are asked for again and again of the same walks: a cell's own spread, whether spreads differ, and Welch's
 * ratio of it with each other product all begin at the same one. Kept for as long as their first walk lives.
 */
const kept = (levels: Levels): ((walks: readonly WalkInterval[]) => RangeFit | NoFit) => {
  const fitOf = byIdentity((_first: WalkInterval, walks: readonly WalkInterval[]) =>
    fitRanges(walks, levels),
  );
  return (walks) => {
    const [first] = walks;
    return first ? fitOf(first, walks) : fitRanges(walks, levels);
  };
};

/** All walks have one location. */
export const fitOneLocation = kept(ONE_LOCATION);

/** A location a product, wherever it was walked. */
export const fitProducts = kept(PRODUCTS_ONLY);
