import { countOf } from '../quantity/plural.ts';
import type { Latency } from '../estimate/latency/latency.ts';
import type { Verdict } from './claim.ts';

const ms = (seconds: number): string => `${(1000 * seconds).toFixed(0)} ms`;

/** A claimed latency is kept when the whole interval stays within it, broken when it lies beyond. */
export function judgeLatencyClaim(
  { entered, latencyS }: { entered: string; latencyS: number },
  found: Latency | undefined,
  refused?: string,
): Verdict {
  if (!found && refused !== undefined)
    return {
      outcome: 'undecided',
      reason: `It was measured, and says nothing: ${refused}.`,
      next: 'Measure by frames of a fast camera, whose own chain is not in between.',
      step: 'a fast camera',
      caveats: [],
    };
  if (!found)
    return {
      outcome: 'not tested',
      reason: 'No latency of this product was measured.',
      next: 'Count frames between an act and its picture, or film a clock beside its screen; ten readings.',
      step: 'ten readings',
      caveats: [],
    };
  const [low, high] = [found.latencyS - found.halfWidthS, found.latencyS + found.halfWidthS];
  const what = `${ms(found.latencyS)} ± ${ms(found.halfWidthS)} (95 %, ${countOf(found.readings, 'reading')})`;
  const figures = {
    figure: ms(found.latencyS),
    interval: `± ${ms(found.halfWidthS)}`,
    n: String(found.readings),
  };
  const caveats = [`Resolution of the method: ${ms(found.resolutionS)}.`];
  if (high <= latencyS)
    return {
      outcome: 'supported',
      reason: `Measured ${what}; the claim is ${entered}.`,
      next: undefined,
      ...{ found: figures, caveats },
    };
  if (low > latencyS)
    return {
      outcome: 'refuted',
      reason: `Measured ${what}, beyond the ${entered} claimed.`,
      next: undefined,
      ...{ found: figures, caveats },
    };
  return {
    outcome: 'undecided',
    reason: `Measured ${what}, which holds the ${entered} claimed.`,
    ...(found.resolutionS > Math.abs(found.latencyS - latencyS)
      ? { step: 'a faster camera', next: 'A faster camera: its frames are longer than the difference.' }
      : { step: 'more readings', next: 'More readings of the same kind.' }),
    ...{ found: figures, caveats },
  };
}
