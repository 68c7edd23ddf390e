import type { StoredWalk } from '@urvek/contract';
import {
  CannotMakeAnew,
  copied,
  headerOf,
  moved,
  standingLog,
  type Made,
  type MakingAnew,
} from './copied.ts';
import * as phrases from './phrases.ts';

/** Between two walks of which nobody knows when they were, s: it orders, and tells no time. */
const APART_S = 1;

/**
 * Two logs of one walk, one after the other, become one: where the first ended nothing could be logged until the
 * second began. How the second began becomes a mark and a grade. @throws CannotMakeAnew where they are of two rigs or
 * paths, or overlap in time
 */
export function joinWalks(a: StoredWalk, b: StoredWalk, making: MakingAnew): StoredWalk {
  for (const field of ['productId', 'rigId', 'pathId'] as const)
    if (a.header[field] !== b.header[field]) throw new CannotMakeAnew(phrases.theyAreOfTwoProductsRigs);
  const [first, second] = [standingLog(a), standingLog(b)];
  const begins = second.find((e) => e.kind === 'begin');
  const begun = first.find((e) => e.kind === 'begin');
  if (!begins || !begun) throw new CannotMakeAnew(phrases.oneOfThemHasNoBeginning);
  if (begins.body.direction !== begun.body.direction)
    throw new CannotMakeAnew(phrases.theyWatchTwoDirectionsThatIs);
  const untimed = Boolean(a.header.undated || b.header.undated || begun.body.untimed || begins.body.untimed);
  const lastS = first.at(-1)?.time.walkS ?? 0;
  const betweenS =
    (begun.time.rate * (b.header.startedMs - a.header.startedMs)) / 1000 +
    begins.time.walkS -
    begun.time.walkS;
  if (!untimed && betweenS < lastS - begun.time.walkS)
    throw new CannotMakeAnew(phrases.theSecondBeginsBeforeTheFirst);
  const byS = (untimed ? lastS + APART_S : begun.time.walkS + betweenS) - begins.time.walkS;
  const there = moved(begins, byS).time;
  const { reading, baselineGrade } = begins.body;
  const bridge: Made[] = [
    { kind: 'gap', body: { fromWallMs: first.at(-1)?.time.wallMs ?? begun.time.wallMs }, time: there },
    ...(reading ? [{ kind: 'mark' as const, body: { reading }, time: there }] : []),
    ...(baselineGrade === undefined
      ? []
      : [{ kind: 'grade' as const, body: { grade: baselineGrade }, time: there }]),
  ];
  return copied(
    headerOf(a.header, true),
    [
      ...first.filter((e) => e.kind !== 'end').map((e) => moved(e, 0)),
      ...bridge,
      ...second.filter((e) => e.kind !== 'begin').map((e) => moved(e, byS)),
    ],
    phrases.joinedOfTwo(making.reason),
    making,
  );
}
