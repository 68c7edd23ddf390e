import {
  byMethod,
  effectiveLog,
  formatLength,
  isAutomatic,
  keyText,
  standingCorrections,
  type WalkEvent,
  type Correction,
} from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { Tick } from '../../components/Field.tsx';
import { eventText } from '../../state/eventText.ts';
import { AddEntry } from './AddEntry.tsx';
import { AddReadings } from './AddReadings.tsx';
import { CorrectionDialog } from './CorrectionDialog.tsx';
import { SetAside } from './SetAside.tsx';
import type { Pointer } from './usePointer.ts';

/** A log of an hour has thousands of entries: so many are drawn at a time. */
const ROWS = 400;

export function Log({
  finding,
  log,
  pointer: { selected, atS, select },
}: {
  finding: Finding;
  log: readonly WalkEvent[];
  pointer: Pointer;
}) {
  const [amended, setAmended] = useState<WalkEvent>();
  const [adding, setAdding] = useState<'entry' | 'readings'>();
  const [all, setAll] = useState(false);
  const [rows, setRows] = useState(ROWS);
  const filmed = log.some((e) => e.kind === 'recording');
  const corrections = standingCorrections(log);
  const shown = [...log]
    .sort((a, b) => a.time.walkS - b.time.walkS)
    .filter((e) => e.kind !== 'correction' && (all || !isAutomatic(e)));
  // What is pointed at: the selected entry, else the last before that moment.
  const pointed =
    selected && shown.includes(selected) ? selected : shown.findLast((e) => e.time.walkS <= (atS ?? -1));
  const place = useRef<HTMLDivElement>(null);
  const pointedKey = pointed && keyText(pointed);
  useEffect(() => {
    const row = place.current?.querySelector<HTMLElement>('[data-pointed]');
    if (row && place.current) place.current.scrollTop = row.offsetTop - place.current.clientHeight / 2;
  }, [pointedKey]);
  return (
    <section className="sheet p-3" aria-label="Log">
      <div className="flex items-center gap-3">
        <h2 className="flex-1">Log</h2>
        <button type="button" className="btn btn-quiet" onClick={() => setAdding('entry')}>
          Add an entry
        </button>
        <Tick label="wheel readings too" checked={all} onChange={(e) => setAll(e.target.checked)} />
      </div>
      <SetAside walkId={finding.walkId} />
      <div
        ref={place}
        className="relative mt-1 max-h-[max(20rem,calc(100vh-9rem))] overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label="Events of the log"
      >
        <table className="table">
          <thead>
            <tr>
              <th>At</th>
              <th>What</th>
              <th>
                <span className="sr-only">Correct</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.slice(0, rows).map((event) => {
              const own = corrections.get(keyText(event)) ?? [];
              return (
                <tr
                  key={keyText(event)}
                  className={event === pointed ? 'bg-white shadow-[inset_4px_0_0_var(--color-accent)]' : ''}
                  {...(event === pointed ? { 'data-pointed': true } : {})}
                >
                  <td className="figure whitespace-nowrap">
                    <button
                      type="button"
                      className="underline decoration-rule decoration-dotted underline-offset-4"
                      aria-label={`Point at ${eventText(event)} at ${event.time.walkS.toFixed(1)} s`}
                      onClick={() => select(event)}
                    >
                      {event.time.walkS.toFixed(1)} s
                    </button>
                  </td>
                  <td>
                    <span className={own.at(-1)?.action === 'withdraw' ? 'line-through' : ''}>
                      {eventText(event)}
                    </span>
                    {event.kind === 'note' && event.body.voice && (
                      <audio
                        controls
                        preload="none"
                        className="block h-8 max-w-full"
                        aria-label={`Spoken note at ${event.time.walkS.toFixed(1)} s`}
                        src={`data:${event.body.voice.mime};base64,${event.body.voice.base64}`}
                      />
                    )}
                    {own.map((correction, i) => (
                      <span key={i} className="block text-[0.87rem] text-faint">
                        {correctionText(event, correction)}
                      </span>
                    ))}
                  </td>
                  <td>
                    {event.kind !== 'gap' && (
                      <button
                        className="btn-quiet"
                        aria-label={`Correct: ${eventText(event)} at ${event.time.walkS.toFixed(1)} s`}
                        onClick={() => setAmended(event)}
                      >
                        Correct
                      </button>
                    )}
                    {filmed && event.kind !== 'recording' && (
                      <Link
                        className="btn-quiet underline"
                        aria-label={`In the film: ${eventText(event)} at ${event.time.walkS.toFixed(1)} s`}
                        to={`/c/${finding.header.comparisonId}/film/${finding.walkId}?at=${event.time.walkS}`}
                      >
                        film
                      </Link>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {shown.length > rows && (
          <button type="button" className="btn mt-2" onClick={() => setRows(rows + ROWS)}>
            Show {Math.min(ROWS, shown.length - rows)} more of {shown.length}
          </button>
        )}
      </div>
      {amended && (
        <CorrectionDialog
          finding={finding}
          event={effectiveLog(log).find((e) => keyText(e) === keyText(amended)) ?? amended}
          onClose={() => setAmended(undefined)}
        />
      )}
      {adding === 'readings' && (
        <AddReadings finding={finding} log={effectiveLog(log)} onClose={() => setAdding(undefined)} />
      )}
      {adding === 'entry' && (
        <AddEntry
          finding={finding}
          log={effectiveLog(log).filter((e) => !isAutomatic(e))}
          onReadings={() => setAdding('readings')}
          onClose={() => setAdding(undefined)}
        />
      )}
    </section>
  );
}

function becomes(event: WalkEvent, c: Correction): string {
  switch (c.action) {
    case 'withdraw':
      return 'withdrawn';
    case 'move':
      return `moved to ${c.walkS?.toFixed(1)} s`;
    case 'remeasure':
      return `measured again: ${c.reading ? `${formatLength(c.reading.travelledM)}, ${byMethod(c.reading.method)}` : ''}`;
    case 'retime':
      return `lag corrected to ${c.delay?.reactionS} s`;
    case 'restate':
      return 'begun otherwise';
    case 'regrade':
      return `made grade ${c.grade}`;
    case 'rewrite':
      return `it was: ${c.entry ? eventText({ ...event, ...c.entry } as WalkEvent) : ''}`;
    case 'add':
      return 'entered afterwards';
  }
}

const correctionText = (event: WalkEvent, c: Correction): string =>
  `${becomes(event, c)}: ${c.reason}${c.author ? ` (${c.author})` : ''}`;
