import type { EventBodies, EventKind } from '@urvek/core';
import type { WalkSession } from '../../field/walkSession.ts';
import type { ReceivedLog } from './useReceiving.ts';
import * as phrases from './phrases.ts';

/** Adds an entry to the log of this device. */
export type AddEntry = <K extends EventKind>(
  kind: K,
  body: EventBodies[K],
  inputMs: number,
  automatic: boolean,
) => void;

/** What a device hears or sees, as entries of its log. What was pressed already is not logged twice. */
export const receivedLog = (
  session: WalkSession,
  add: AddEntry,
  how: 'listening' | 'watching',
): ReceivedLog => ({
  lost: (inputMs, found) => {
    if (session.expected().grade === 1) return false;
    add('dropoutBegin', { found }, inputMs, true);
    return true;
  },
  back: (inputMs, found) => {
    // Somebody may have ended it by hand meanwhile.
    if (session.expected().grade === 1) add('dropoutEnd', { found }, inputMs, true);
  },
  fault: (inputMs, { kind, figure }) =>
    add('note', { text: phrases.foundBy(how, kind, figure) }, inputMs, true),
  codes: (inputMs, { carriedBy, sentS, uS, codes, separation }) =>
    add('beacon', { carriedBy, sentS, uS, codes, ...(separation ? { separation } : {}) }, inputMs, true),
  deaf: (why) => add('note', { text: phrases.stopped(how, why) }, performance.now(), false),
  gap: (fromWallMs) => add('gap', { fromWallMs }, performance.now(), false),
});
