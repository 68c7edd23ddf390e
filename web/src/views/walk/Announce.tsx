import { effectiveLog, isAutomatic, type WalkEvent } from '@urvek/core';
import { eventText } from '../../state/eventText.ts';
import * as phrases from './phrases.ts';

/** Entries among which the newest is looked for: a wheel logs by itself. */
const RECENT = 60;

/** Tells a screen reader what was logged, and that it is kept; never what counts by itself. */
export function Announce({ log, unkept }: { log: readonly WalkEvent[]; unkept: number }) {
  const all = log.slice(-RECENT);
  const newest = all.findLast((e) => !isAutomatic(e));
  const said =
    newest && effectiveLog(all).find((e) => e.deviceId === newest.deviceId && e.seq === newest.seq);
  const text = newest && (said ? eventText(said) : eventText(newest));
  return (
    <p className="sr-only" aria-live="polite" data-announced>
      {text && `${text}: ${unkept > 0 ? phrases.notKeptYet : 'kept'}`}
    </p>
  );
}
