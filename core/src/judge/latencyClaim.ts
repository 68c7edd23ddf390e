import type { Latency } from '../estimate/latency/latency.ts';
import type { Verdict } from './claim.ts';
import * as phrases from './phrases.ts';

const ms = (seconds: number): string => phrases.ms((1000 * seconds).toFixed(0));

/** A claimed latency is kept when the whole interval stays within it, broken when it lies beyond. */
export function judgeLatencyClaim(
  { entered, latencyS }: { entered: string; latencyS: number },
  found: Latency | undefined,
  refused?: string,
): Verdict {
  if (!found && refused !== undefined)
    return {
      outcome: 'undecided',
      reason: phrases.itWasMeasuredAndSaysNothing(refused),
      next: phrases.measureByFramesOfAFast,
      step: phrases.aFastCamera,
      caveats: [],
    };
  if (!found)
    return {
      outcome: 'not tested',
      reason: phrases.noLatencyOfThisProductWas,
      next: phrases.countFramesBetweenAnActAnd,
      step: phrases.tenReadings,
      caveats: [],
    };
  const [low, high] = [found.latencyS - found.halfWidthS, found.latencyS + found.halfWidthS];
  const what = `${ms(found.latencyS)} ± ${ms(found.halfWidthS)} (95 %, ${phrases.countedReadings(found.readings)})`;
  const figures = {
    figure: ms(found.latencyS),
    interval: `± ${ms(found.halfWidthS)}`,
    n: String(found.readings),
  };
  const caveats = [phrases.resolutionOfTheMethod(ms(found.resolutionS))];
  if (high <= latencyS)
    return {
      outcome: 'supported',
      reason: phrases.measuredTheClaimIs(what, entered),
      next: undefined,
      ...{ found: figures, caveats },
    };
  if (low > latencyS)
    return {
      outcome: 'refuted',
      reason: phrases.measuredBeyondTheClaimed(what, entered),
      next: undefined,
      ...{ found: figures, caveats },
    };
  return {
    outcome: 'undecided',
    reason: phrases.measuredWhichHoldsTheClaimed(what, entered),
    ...(found.resolutionS > Math.abs(found.latencyS - latencyS)
      ? { step: phrases.aFasterCamera, next: phrases.aFasterCameraItsFramesAre }
      : { step: phrases.moreReadings, next: phrases.moreReadingsOfTheSameKind }),
    ...{ found: figures, caveats },
  };
}
