import type { StoredWalk } from '@urvek/contract';
import { traceWalk } from '@urvek/core';
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

/**
 * One log that holds two walks becomes two: the first ends at that second of the walk's clock, the second begins
 * there, with the grade that stood and on the way back where one had turned. Where the second began is what a mark of
 * that moment says, else not stated. @throws CannotMakeAnew
 */
export function splitWalk(walk: StoredWalk, atS: number, making: MakingAnew): [StoredWalk, StoredWalk] {
  const log = standingLog(walk);
  const trace = traceWalk(log);
  if (!trace) throw new CannotMakeAnew(phrases.thisWalkHasNoBeginning);
  const { begin } = trace;
  if (!(atS > begin.time.walkS && atS < trace.endS))
    throw new CannotMakeAnew(
      phrases.sIsNotWithinTheWalk(atS, begin.time.walkS.toFixed(1), trace.endS.toFixed(1)),
    );
  const { rate } = begin.time;
  const afterMs = (1000 * (atS - begin.time.walkS)) / rate;
  const time = { ...begin.time, walkS: atS, wallMs: begin.time.wallMs + afterMs };
  const cut = { ...time, inputMs: begin.time.inputMs + afterMs };
  const first = log.filter((e) => e.time.walkS < atS).map((e) => moved(e, 0));
  const said = phrases.splitAtS(atS.toFixed(1), making.reason);

  const { baselineGrade: _, reading: __, checks: ___, inwards: ____, ...body } = begin.body;
  const standing = trace.noticed.findLast((s) => s.fromS <= atS);
  const here = log.find((e) => e.kind === 'mark' && e.time.walkS === atS);
  const second: Made[] = [
    {
      kind: 'begin',
      time: { ...cut, walkS: 0 },
      body: {
        ...body,
        ...(standing?.stated && !trace.byStands ? { baselineGrade: standing.grade } : {}),
        ...(here?.kind === 'mark' && here.body.reading ? { reading: here.body.reading } : {}),
      },
    },
    ...(trace.turnS !== undefined && trace.turnS < atS
      ? [{ kind: 'turn' as const, body: {}, time: { ...cut, walkS: 0 } }]
      : []),
    ...log.filter((e) => e.time.walkS >= atS && e.kind !== 'begin').map((e) => moved(e, -atS)),
  ];
  const { header } = walk;
  return [
    copied(
      headerOf(header, true),
      [...first, { kind: 'end', body: { reason: 'not stated' }, time: cut }],
      phrases.firstPart(said),
      making,
    ),
    copied(
      { ...headerOf(header, false), startedMs: Math.round(header.startedMs + afterMs) },
      second,
      phrases.secondPart(said),
      making,
    ),
  ];
}
