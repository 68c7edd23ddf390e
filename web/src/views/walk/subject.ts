import type { Comparison } from '@urvek/contract';
import { swapEnds, type PlannedWalk } from '@urvek/study';
import type { KeptWalk } from '../../field/fieldLog.ts';

/** What a kept walk is a walk of; undefined when its product or path was removed meanwhile. */
export function subjectOf(comparison: Comparison, { header }: KeptWalk): PlannedWalk | undefined {
  const product = comparison.setup.products.find((p) => p.id === header.productId);
  const rig = product?.rigs.find((r) => r.id === header.rigId);
  const path = comparison.setup.paths.find((p) => p.id === header.pathId);
  const variant = header.slot?.variant ?? 'plain';
  return product && rig && path
    ? { product, rig: variant === 'ends swapped' ? swapEnds(rig) : rig, path, variant }
    : undefined;
}
