import { parseClaim } from '@urvek/core';
import type { Setup } from '@urvek/contract';

/** Ratios that are claimed of a product, or of another against it. */
export const claimedRatios = ({ products }: Setup, productId: string): number[] =>
  products.flatMap((p) =>
    p.claims
      .filter((c) => c.form === 'ratio' && (p.id === productId || c.against === productId))
      .map((c) => parseClaim('ratio', c.entered).value),
  );
