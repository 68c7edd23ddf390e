import type { StoredWalk, WalkHeader } from '@urvek/contract';
import { effectiveLog, joinLogs, type EventBodies, type WalkEvent } from '@urvek/core';
import * as phrases from './phrases.ts';

/** Why a walk cannot be made anew so. */
export class CannotMakeAnew extends Error {}

export interface MakingAnew {
  readonly newId: () => string;
  /** Who says so, and why: it stands in the new walk, and beside the old one. */
  readonly reason: string;
}

/**
 * The log of one device as it stands after its corrections, without what leaves the walk out.
 * @throws CannotMakeAnew where two devices logged: their clocks belong to that walk
 */
export function standingLog({ log }: StoredWalk): readonly WalkEvent[] {
  if (joinLogs(log).joined.length > 0) throw new CannotMakeAnew(phrases.twoDevicesLoggedThisWalkCorrect);
  return effectiveLog(log).filter((e) => e.kind !== 'leftOut');
}

/** An entry of a log that is being made, at a second of its walk's clock. */
export type Made = {
  [K in WalkEvent['kind']]: {
    readonly kind: K;
    readonly body: EventBodies[K];
    readonly time: WalkEvent['time'];
  };
}[WalkEvent['kind']];

/** An entry of another walk, at another second of the clock. */
export const moved = (event: WalkEvent, byS: number): Made =>
  ({ kind: event.kind, body: event.body, time: { ...event.time, walkS: event.time.walkS + byS } }) as Made;

/** A walk of such entries, numbered anew; behind its beginning stands what it was made of. */
export function copied(
  header: Omit<WalkHeader, 'id'>,
  entries: readonly Made[],
  said: string,
  { newId }: MakingAnew,
): StoredWalk {
  const [walkId, deviceId] = [newId(), newId()];
  const [begin, ...others] = entries;
  if (begin?.kind !== 'begin') throw new CannotMakeAnew(phrases.thisWalkHasNoBeginning);
  const note: Made = { kind: 'note', body: { text: said.slice(0, 2000) }, time: begin.time };
  return {
    header: { ...header, id: walkId },
    log: [begin, note, ...others].map(
      (entry, i) => ({ ...entry, walkId, deviceId, seq: i + 1, version: 1 }) as unknown as WalkEvent,
    ),
  };
}

/** The header of what is made anew: the plan's place stays with one walk only. */
export function headerOf({ id: _, slot, ...header }: WalkHeader, keepSlot: boolean): Omit<WalkHeader, 'id'> {
  return keepSlot && slot ? { ...header, slot } : header;
}
