import { effectiveLog, isAutomatic, keyText, standingCorrections, type WalkEvent } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useEffect, useRef, useState } from 'react';
import { Tick } from '../../components/Field.tsx';
import { AddEntry } from './AddEntry.tsx';
import { AddReadings } from './AddReadings.tsx';
import { CorrectionDialog } from './CorrectionDialog.tsx';
import { LogRow } from './LogRow.tsx';
import { SetAside } from './SetAside.tsx';
import type { Pointer } from './usePointer.ts';
import * as phrases from './phrases.ts';

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
    <section className="sheet p-3" aria-label={phrases.log}>
      <div className="flex items-center gap-3">
        <h2 className="flex-1">{phrases.log}</h2>
        <button type="button" className="btn btn-quiet" onClick={() => setAdding('entry')}>
          {phrases.addAnEntry}
        </button>
        <Tick label={phrases.whatCameByItselfToo} checked={all} onChange={(e) => setAll(e.target.checked)} />
      </div>
      <SetAside walkId={finding.walkId} />
      <div
        ref={place}
        className="relative mt-1 max-h-[max(20rem,calc(100vh-9rem))] overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label={phrases.eventsOfTheLog}
      >
        <table className="table">
          <thead>
            <tr>
              <th>{phrases.at}</th>
              <th>{phrases.what}</th>
              <th>
                <span className="sr-only">{phrases.correct2}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.slice(0, rows).map((event) => (
              <LogRow
                key={keyText(event)}
                event={event}
                own={corrections.get(keyText(event)) ?? []}
                pointed={event === pointed}
                film={filmed ? `/c/${finding.header.comparisonId}/film/${finding.walkId}` : undefined}
                onSelect={() => select(event)}
                onAmend={() => setAmended(event)}
              />
            ))}
          </tbody>
        </table>
        {shown.length > rows && (
          <button type="button" className="btn mt-2" onClick={() => setRows(rows + ROWS)}>
            {phrases.showMoreOf(Math.min(ROWS, shown.length - rows), shown.length)}
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
