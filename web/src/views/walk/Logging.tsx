import {
  effectiveLog,
  GRADES,
  gradeOfWords,
  kindOf,
  lastUndoable,
  type EventBodies,
  type EventKind,
} from '@urvek/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useComparison } from '../../api/queries.ts';
import { useWalkClock } from '../../api/walkClock.ts';
import { Heading } from '../../components/Heading.tsx';
import { Trouble } from '../../components/States.tsx';
import { useClockComparison } from '../../field/clocks.ts';
import type { KeptWalk } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { Announce } from './Announce.tsx';
import type { LateOf } from './BeaconState.tsx';
import { ClearedUnder } from './ClearedUnder.tsx';
import { Keys } from './Ask.tsx';
import { JoinedKeys } from './JoinedKeys.tsx';
import { KeptCount } from './KeptCount.tsx';
import { LastEvents } from './LastEvents.tsx';
import { Listen } from './Listen.tsx';
import { NoteForm } from './NoteForm.tsx';
import type { Actions } from './controlsParts.tsx';
import { confirmKept, useAwake } from './device.ts';
import { subjectOf } from './subject.ts';
import { Unkept } from './Unkept.tsx';
import { Watch } from './Watch.tsx';
import { useWalkSession } from './useWalkSession.ts';
import * as phrases from './phrases.ts';

export function Logging({ kept }: { kept: KeptWalk }) {
  const { session, log, ready, unkept, cleared } = useWalkSession(kept.id);
  const { data: comparison } = useComparison(kept.comparisonId);
  const subject = comparison && subjectOf(comparison, kept);
  const [noting, setNoting] = useState(false);
  const [error, setError] = useState<Error>();
  useAwake();
  const joinedAt = log.find((e) => e.kind === 'joined')?.time;
  const begunMs = joinedAt ? joinedAt.originMs + joinedAt.inputMs : performance.timeOrigin;
  const add = <K extends EventKind>(
    k: K,
    body: EventBodies[K],
    inputMs = performance.now(),
    automatic = false,
  ): void => {
    const walkS = Math.max(0, (performance.timeOrigin + inputMs - begunMs) / 1000);
    session
      .append(k, body, eventTime(walkS, 1, inputMs))
      .then(() => {
        if (!automatic) confirmKept(true);
        return sync();
      })
      .catch(() => setError(new Error(phrases.thisWasNotKeptUrvekFailed2)));
  };
  useClockComparison(true, ({ inputMs, ...body }) => add('clock', body, inputMs, true));
  const walkClock = useWalkClock(kept.id);
  const lateOf: LateOf = ({ atS, sentS, uS }) => {
    const there = walkClock?.at(performance.timeOrigin + 1000 * atS);
    return there && { lateS: there.walkS - sentS, uS: Math.hypot(uS, there.uncertaintyS) };
  };
  const kind = kindOf(subject?.product.kindId ?? 'accessory');
  const standing = effectiveLog(log);
  const grade = standing.reduce<number>(
    (now, e) =>
      e.kind === 'grade'
        ? e.body.grade
        : e.kind === 'dropoutBegin'
          ? 1
          : e.kind === 'dropoutEnd' && now === 1
            ? 5
            : now,
    5,
  );
  const shared = log.filter((e) => e.kind === 'shared').length;
  const undoable = lastUndoable(log);
  const press =
    <K extends EventKind>(k: K, body: EventBodies[K]) =>
    (inputMs: number): void =>
      add(k, body, inputMs);
  const actions: Actions = {
    d: (inputMs) => press(session.expected().grade === 1 ? 'dropoutEnd' : 'dropoutBegin', {})(inputMs),
    ...Object.fromEntries(
      GRADES.map((g) => [String(g), g === 1 ? press('dropoutBegin', {}) : press('grade', { grade: g })]),
    ),
    s: press('shared', { count: shared + 1 }),
    n: () => setNoting(true),
    u: () => {
      if (undoable)
        add('correction', {
          amends: { deviceId: undoable.deviceId, seq: undoable.seq },
          action: 'withdraw',
          reason: phrases.undoneInTheWalk,
        });
    },
  };
  if (!ready) return null;
  return (
    <main id="work" className="mx-auto w-full max-w-[700px] px-3 py-3">
      <Keys actions={noting ? {} : actions} />
      <div className="flex flex-wrap items-baseline gap-x-4">
        <Heading title={phrases.loggingAtTheOtherEnd}>{subject?.product.name ?? phrases.aWalk}</Heading>
        <p>{subject ? phrases.whatIsReceivedHere2(subject.path.name) : phrases.whatIsReceivedHere}</p>
        <KeptCount walkId={kept.id} />
      </div>
      <Announce log={log} unkept={unkept} />
      <Unkept unkept={unkept} header={kept.header} log={log} />
      {cleared && <ClearedUnder header={kept.header} log={log} />}
      {error && <Trouble error={error} />}
      <p className="mt-1 border-l-4 border-degraded pl-3 text-[0.87rem]">{phrases.joinedLogWhatComesInAt}</p>
      {noting ? (
        <NoteForm
          gradeOf={(text) => gradeOfWords(text, kind.id, comparison?.setup.sayings)}
          words={kind.words}
          onNote={(text, g, voice) => {
            setNoting(false);
            add('note', { text, ...(voice ? { voice } : {}) });
            if (g !== undefined) add('grade', { grade: g });
          }}
          onCancel={() => setNoting(false)}
        />
      ) : (
        <JoinedKeys
          kind={kind}
          actions={actions}
          grade={grade}
          shared={shared}
          canUndo={undoable !== undefined}
        />
      )}
      <Listen session={session} add={add} lateOf={lateOf} />
      <Watch session={session} add={add} lateOf={lateOf} />
      <p className="mt-2">
        <Link className="underline" to={`/signals?walk=${kept.id}`}>
          {phrases.showTheBeaconFromHere}
        </Link>
      </p>
      <LastEvents log={log} />
    </main>
  );
}
