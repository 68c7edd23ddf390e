import { blindLabels } from '@urvek/core';
import type { Setup } from '@urvek/contract';
import { planState, type Walked } from './plannedWalks.ts';
import * as phrases from './phrases.ts';

/** Names sealed behind letters while the plan is blind and its walks are not all in. */
export const isSealed = (setup: Setup, walks: readonly Walked[]): boolean =>
  setup.plan.blind === true && planState(setup, walks).some((s) => !s.walk);

/** The set-up as one who judges by ear may see it: letters for names, and nothing that gives them away. */
export function seal(setup: Setup, key: string): Setup {
  const letters = blindLabels(
    setup.products.map((p) => p.id),
    key,
  );
  return {
    ...setup,
    products: setup.products.map((p) => ({
      ...p,
      name: phrases.product(letters.get(p.id)),
      claims: [],
      rigs: p.rigs.map((r, i) => ({ ...r, name: phrases.rig(i + 1) })),
    })),
  };
}
