import { effectiveLog, isAutomatic, type WalkEvent } from '@urvek/core';
import { eventText } from '../../state/eventText.ts';
import * as phrases from './phrases.ts';

/** Entries among which the last events are looked for: corrections follow close on what they amend. */
const RECENT = 60;

export function LastEvents({ log }: { log: readonly WalkEvent[] }) {
  // Of the newest entries only: a walk may have tens of thousands.
  const recent = effectiveLog(log.slice(-RECENT))
    .filter((e) => !isAutomatic(e))
    .slice(-4)
    .reverse();
  return (
    <ol className="mt-2 flex flex-wrap gap-x-5 text-[0.87rem] text-faint" aria-label={phrases.lastEvents}>
      {recent.map((e) => (
        <li key={e.seq}>
          <span className="figure">{e.time.walkS.toFixed(1)} s</span> {eventText(e)}
        </li>
      ))}
    </ol>
  );
}
