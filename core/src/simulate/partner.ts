import type { Grade } from '../grade/grade.ts';
import { seeded } from '../random/seeded.ts';
import { gradeOfMargin } from './simulatedGear.ts';

/**
 * The simulated partner at the fixed end: hears the other direction, whose margin differs by what the two
 * ends differ.
 */
export const partnerHears = (marginDb: number, otherWayDb: number): Grade =>
  gradeOfMargin(marginDb + otherWayDb);

/** How much better the other way is than the first, dB: invented, the same for a product on every walk. */
export const otherWayDb = (productSeed: string): number =>
  Math.round(seeded('other way', productSeed).uniform() * 8) - 6;
