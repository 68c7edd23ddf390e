import type { Interchange, StoredWalk } from '@urvek/contract';

/** Every walk of a comparison with its log, as the base has it. */
export async function walksOf(origin: string, comparisonId: string): Promise<readonly StoredWalk[]> {
  const response = await fetch(
    new URL(`/api/comparisons/${comparisonId}/comparison.json?private=kept`, origin),
  );
  return ((await response.json()) as Interchange).walks;
}
