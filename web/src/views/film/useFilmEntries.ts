import type { Coordinate, EventBodies, EventKind, EventOf } from '@urvek/core';
import { useState } from 'react';
import { sync } from '../../field/sync.ts';
import { eventTime, FOUND_S, knownTo } from '../../field/time.ts';
import type { WalkSession } from '../../field/walkSession.ts';
import { digestOf } from './frames.ts';
import type { GradedStretch } from './ProposedGrades.tsx';
import type { TakenLoss } from './ProposedLosses.tsx';
import { secondsOf } from './reel.ts';
import type { Player } from './usePlayer.ts';
import * as phrases from './phrases.ts';

const NOT_KEPT = phrases.thisWasNotKeptUrvekFailed;

/** How far it is, is told after so many entries. */
const TOLD_EACH = 20;

/** Writes entries of a walk that is logged from a recording, at the recording's own seconds. */
export function useFilmEntries(session: WalkSession, player: Player, beganS: number) {
  const [error, setError] = useState<Error>();
  /** Entries are written, and sent when they can be; the last that was kept stands, also where one is not. */
  const keep = async (write: () => Promise<unknown>): Promise<void> => {
    try {
      await write();
      setError(undefined);
    } catch (cause) {
      setError(new Error(NOT_KEPT, { cause }));
    }
    void sync();
  };
  const add = <K extends EventKind>(kind: K, body: EventBodies[K], inputMs: number): Promise<void> => {
    const { atS, frameS, rate } = player.moment(inputMs);
    return keep(() => session.append(kind, body, eventTime(atS, rate, inputMs, frameS)));
  };
  /** Found, and not pressed: nobody reacted, and the moment is known to the detector's block. */
  const take = (list: readonly TakenLoss[]): Promise<void> =>
    keep(async () => {
      for (const { fromS, toS, open, kind, figure, byHand } of list) {
        // What was lost already when the walk began is lost from its beginning on.
        const lostS = Math.max(fromS, beganS);
        const found = `${kind}, ${figure}`.slice(0, 200);
        await session.append('dropoutBegin', { found }, eventTime(lostS, 1, undefined, knownTo({ byHand })));
        if (!open)
          await session.append('dropoutEnd', { found }, eventTime(toS, 1, undefined, knownTo({ byHand })));
      }
    });
  /** A stretch that was graded after an instrument found faults in it; then it is as it was before. */
  const gradeStretch = ({ fromS, toS, grade, then, found }: GradedStretch): Promise<void> =>
    keep(async () => {
      const said = found.slice(0, 200);
      await session.append('grade', { grade, found: said }, eventTime(fromS, 1, undefined, FOUND_S));
      await session.append('grade', { grade: then, found: said }, eventTime(toS, 1, undefined, FOUND_S));
    });
  /** One after the other, told how many, for as long as they are wanted. */
  const each = <T>(
    list: readonly T[],
    write: (item: T) => Promise<unknown>,
    goesOn: (done: number) => boolean,
  ): Promise<void> =>
    keep(async () => {
      for (const [i, item] of list.entries()) {
        if (i % TOLD_EACH === 0 && !goesOn(i)) return;
        await write(item);
      }
    });
  /** Places of a track of the walk, of one stated accuracy. */
  const place = (
    places: readonly (Coordinate & { readonly walkS: number })[],
    accuracyM: number,
    goesOn: (done: number) => boolean,
  ): Promise<void> =>
    each(
      places,
      ({ latitudeDeg, longitudeDeg, walkS }) =>
        session.append('fix', { latitudeDeg, longitudeDeg, accuracyM }, eventTime(walkS, 1)),
      goesOn,
    );
  const takeOut = (fixes: readonly EventOf<'fix'>[], goesOn: (done: number) => boolean): Promise<void> =>
    each(
      fixes,
      ({ deviceId, seq, time }) =>
        session.append(
          'correction',
          { amends: { deviceId, seq }, action: 'withdraw', reason: phrases.theTrackWasTakenOutAgain },
          eventTime(time.walkS, 1),
        ),
      goesOn,
    );
  const join = async (file: File, besideFromS: number): Promise<void> => {
    const seconds = await secondsOf(file);
    logNow('recording', {
      ...{ name: file.name.slice(0, 255), bytes: file.size, digest: await digestOf(file), besideFromS },
      seconds: Number.isFinite(seconds) ? seconds : 0,
    });
  };
  const press =
    <K extends EventKind>(kind: K, body: EventBodies[K]) =>
    (inputMs: number): void =>
      void add(kind, body, inputMs);
  const logNow = <K extends EventKind>(k: K, body: EventBodies[K]): void => press(k, body)(performance.now());
  const undo = (): void => void keep(() => session.undo((walkS) => eventTime(walkS, 1)));
  return { error, press, logNow, take, gradeStretch, place, takeOut, join, undo };
}
