import * as phrases from './phrases.ts';

/** How busy one end was while it measured. */
export interface EndLoad {
  /** Longest time in which its program did not come round, ms. */
  readonly longestLagMs: number;
  /** Share of one processor that its program used, 0 to 1; undefined where nobody can tell. */
  readonly cpuShare: number | undefined;
}

/** A program that does not come round for this long measures itself, ms. */
const LAG_MS = 250;
/** A program that uses this much of a processor is the limit. */
const CPU_SHARE = 0.9;

const isBusy = ({ longestLagMs, cpuShare }: EndLoad): boolean =>
  longestLagMs > LAG_MS || (cpuShare ?? 0) > CPU_SHARE;

/** What was measured instead of the link; undefined: the link. */
export function limitedBy(here: EndLoad, there: EndLoad | undefined): string | undefined {
  const ends = [isBusy(here) ? 'this device' : undefined, there && isBusy(there) ? 'the server' : undefined];
  const busy = ends.filter((e) => e !== undefined);
  return busy.length === 0 ? undefined : phrases.cameToItsLimitThatWas(busy.join(' and '));
}
