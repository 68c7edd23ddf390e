import {
  likeStands,
  median,
  speedRatio,
  type Direction,
  type LikeStands,
  type SpeedRatio,
  type StandMedians,
} from '@urvek/core';
import {
  doubtOf,
  readingsOf,
  throughputFindings,
  type ThroughputFinding,
  type ThroughputFindings,
} from './figures.ts';
import type { Finding } from './findings.ts';
import type { PathRanges } from './ranges.ts';
import { standName } from './standSets.ts';
import * as phrases from './phrases.ts';

/** Two products' speeds at like stands: a ratio, a bound of it, or why there is none. */
export interface SpeedPair {
  readonly direction: Direction;
  readonly a: string;
  readonly b: string;
  readonly like: LikeStands;
  readonly ratio: SpeedRatio | undefined;
  /** One side was capped at these stands: the ratio is at least, or at most, this. */
  readonly bound: 'at least' | 'at most' | undefined;
  /** Why they are not ranked, and where they still can be. */
  readonly refused: string | undefined;
}

/** Each two products, each way. */
export function speedPairs(range: Pick<PathRanges, 'path' | 'findings'>): SpeedPair[] {
  const found = throughputFindings(range);
  return found.curves.flatMap((a, i) =>
    found.curves
      .slice(i + 1)
      .filter((b) => b.direction === a.direction && b.product !== a.product)
      .map((b) => pairOf(range, found, a, b)),
  );
}

type Walked = Pick<PathRanges, 'findings'>;

function mediansOf({ findings }: Walked, { product, direction }: ThroughputFinding): StandMedians[] {
  return findings
    .filter((f) => f.product === product)
    .map((f) => standMedians(f, direction))
    .filter((m) => m.size > 0);
}

function standMedians(finding: Finding, direction: Direction): StandMedians {
  const stands = new Map<string, number[]>();
  for (const { measured, returning } of readingsOf(finding, 'throughput')) {
    // On the move, or one side only: no like stand.
    if (measured.direction !== direction || measured.bound !== undefined || measured.span || returning)
      continue;
    const name = standName(finding, measured.position?.travelledM ?? 0);
    stands.set(name, [...(stands.get(name) ?? []), measured.value ?? 0]);
  }
  return new Map([...stands].map(([name, values]) => [name, median(values)]));
}

/** Stands at which a product reads what is behind it. */
function cappedAt(
  { findings }: Walked,
  found: ThroughputFindings,
  { product, direction, cap }: ThroughputFinding,
): ReadonlySet<string> {
  const at = cap ?? found.shared[direction];
  if (!at) return new Set();
  return new Set(
    findings
      .filter((f) => f.product === product)
      .flatMap((f) => readingsOf(f, 'throughput'))
      .filter((r) => r.measured.direction === direction && r.distanceM <= at.toM)
      .map((r) => standName(r.finding, r.measured.position?.travelledM ?? 0)),
  );
}

const quoted = (values: readonly string[]): string => values.map((v) => `“${v}”`).join(' and ');

function pairOf(
  range: Pick<PathRanges, 'path' | 'findings'>,
  found: ThroughputFindings,
  a: ThroughputFinding,
  b: ThroughputFinding,
): SpeedPair {
  const [x, y] = [mediansOf(range, a), mediansOf(range, b)];
  const like = likeStands(x, y);
  const none = (refused: string): SpeedPair => ({
    ...{ direction: a.direction, a: a.product, b: b.product, like },
    ...{ ratio: undefined, bound: undefined, refused },
  });
  const doubt = doubtOf(found, a, b);
  if (doubt)
    return none(phrases.anInstrumentThatReadsMbitS(doubt.readMbps.toFixed(0), doubt.planMbps.toFixed(0)));
  for (const [what, of] of [
    ['instruments', [a.instruments, b.instruments]],
    ['servers', [a.servers, b.servers]],
  ] as const) {
    const [own, other] = of;
    if (own.length > 0 && other.length > 0 && own.join() !== other.join())
      return none(phrases.readWithDifferentAgainstReadBoth(what, quoted(own), quoted(other)));
  }
  if (like.of === 0) return none(phrases.noStandWasReadWithBoth);
  if (like.both.length === 0)
    return none(
      phrases.connectedAtOfLikeStandsAt(a.product, like.connected[0], like.of, b.product, like.connected[1]),
    );
  const [capA, capB] = [cappedAt(range, found, a), cappedAt(range, found, b)];
  const free = like.both.filter((s) => !capA.has(s) && !capB.has(s));
  const compared = { direction: a.direction, a: a.product, b: b.product, like, refused: undefined };
  if (free.length > 0) return { ...compared, ratio: speedRatio(x, y, free), bound: undefined };
  const oneSided = like.both.filter((s) => capA.has(s) !== capB.has(s));
  const side =
    oneSided[0] !== undefined && capA.has(oneSided[0]) ? ('at least' as const) : ('at most' as const);
  const same = oneSided.filter((s) => (side === 'at least' ? capA : capB).has(s));
  if (same.length > 0) return { ...compared, ratio: speedRatio(x, y, same), bound: side };
  return none(phrases.atEveryStandThatBothReached(like.both.at(-1) ?? 'these'));
}
