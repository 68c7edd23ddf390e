import { readProse, type ProposedRow, type ProseContext } from '@urvek/study';
import { useId, useState } from 'react';
import type { Cells } from './gridState.ts';
import { ProseRow, type OfferedRow } from './ProseRow.tsx';
import * as phrases from './phrases.ts';

/** Signs of a long day's notes. */
const LONGEST_PROSE = 50_000;

/** Notes as text become proposed rows, each beside the words that it comes from: taken, changed or left. */
export function Prose({
  context,
  onTake,
}: {
  context: ProseContext;
  onTake: (rows: readonly Cells[]) => void;
}) {
  const id = useId();
  const [text, setText] = useState('');
  const [found, setFound] = useState<readonly OfferedRow[]>();
  const change = (i: number, column: 'at' | 'grade' | 'event', value: string): void =>
    setFound(
      found?.map((row, at) => {
        if (at !== i) return row;
        const { [column]: _, ...others } = row.cells;
        return { ...row, cells: value === '' ? others : { ...others, [column]: value } };
      }),
    );
  const taken = found?.filter((r) => r.taken) ?? [];
  return (
    <details className="sheet mt-3 p-3">
      <summary className="cursor-pointer font-bold">{phrases.fromNotesAsText}</summary>
      <div className="mt-2">
        <label htmlFor={id} className="block text-[0.87rem] text-faint">
          {phrases.notesAsTheyWereWritten}
        </label>
        <textarea
          id={id}
          className="input min-h-28 w-full"
          maxLength={LONGEST_PROSE}
          placeholder={phrases.clearAt50MASlight}
          value={text}
          onChange={(e) => {
            setText(e.target.value);
            setFound(undefined);
          }}
        />
      </div>
      <p className="mt-1">
        <button
          type="button"
          className="btn"
          disabled={text.trim() === ''}
          onClick={() => setFound(readProse(text, context).map((row) => ({ ...row, taken: true })))}
        >
          {phrases.proposeRows}
        </button>
      </p>
      {found && (
        <div className="mt-2 grid gap-2" role="group" aria-label={phrases.proposedRows}>
          {found.length === 0 ? (
            <p role="status">{phrases.nothingInItTellsOfA}</p>
          ) : (
            <p className="max-w-[80ch]" aria-label={phrases.whatWasUsedOfTheNotes}>
              {pieces(text, found).map(({ used, part }, i) =>
                used ? (
                  <mark key={i} className="bg-[#dbe7ee] text-ink underline decoration-2">
                    {part}
                  </mark>
                ) : (
                  <span key={i} className="text-faint">
                    {part}
                  </span>
                ),
              )}
            </p>
          )}
          {found.map((row, i) => (
            <ProseRow
              key={row.from}
              row={row}
              nth={i + 1}
              onTaken={(taken) => setFound(found.map((r, at) => (at === i ? { ...r, taken } : r)))}
              onCell={(column, value) => change(i, column, value)}
            />
          ))}
          {found.length > 0 && (
            <p>
              <button
                type="button"
                className="btn btn-main"
                disabled={taken.length === 0}
                onClick={() => {
                  onTake(taken.map((r) => r.cells));
                  setFound(undefined);
                  setText('');
                }}
              >
                {phrases.putIntoTheGrid(phrases.countedRows(taken.length))}
              </button>
            </p>
          )}
        </div>
      )}
    </details>
  );
}

/** The prose in pieces: those that rows come from, and the rest. */
function pieces(text: string, rows: readonly ProposedRow[]): { used: boolean; part: string }[] {
  const cuts = [0, ...rows.flatMap((r) => [r.from, r.to]), text.length];
  return cuts.slice(1).map((to, i) => ({ used: i % 2 === 1, part: text.slice(cuts[i], to) }));
}
