import { latencyOfClock, latencyOfFrames, LatencyRefused, type Latency } from '@urvek/core';
import type { LatencyRow, Product, Setup } from '@urvek/contract';

export interface LatencyFound {
  readonly row: LatencyRow;
  readonly product: Product;
  readonly latency: Latency | undefined;
  /** Why there is none. */
  readonly refused: string | undefined;
}

function measure({ method, frames, framesPerS, readings, baselineMs, refreshHz }: LatencyRow): Latency {
  const baselineS = baselineMs / 1000;
  return method === 'frames'
    ? latencyOfFrames(frames ?? [], framesPerS ?? 0, baselineS)
    : latencyOfClock(
        (readings ?? []).map(([clock, screen]) => ({ clockS: clock / 1000, screenS: screen / 1000 })),
        { baselineS, refreshHz: refreshHz ?? 0 },
      );
}

/** Each latency that was measured, nearest first within its product. */
export function findLatencies({ products, latency = [] }: Setup): LatencyFound[] {
  return products.flatMap((product) =>
    latency
      .filter((row) => row.productId === product.id)
      .sort((a, b) => (a.distanceM ?? 0) - (b.distanceM ?? 0))
      .map((row): LatencyFound => {
        try {
          return { row, product, latency: measure(row), refused: undefined };
        } catch (error) {
          if (error instanceof LatencyRefused)
            return { row, product, latency: undefined, refused: error.message };
          throw error;
        }
      }),
  );
}

/** The latency that a claim is judged on: the nearest one measured; or why a measurement says nothing. */
export function nearestLatency(
  setup: Setup,
  productId: string,
): { readonly latency: Latency | undefined; readonly refused: string | undefined } {
  const own = findLatencies(setup).filter((l) => l.product.id === productId);
  return {
    latency: own.find((l) => l.latency)?.latency,
    refused: own.find((l) => l.refused !== undefined)?.refused,
  };
}
