import type { Comparison } from '@urvek/contract';
import { FormatError, type Saying } from '@urvek/core';
import { asAbove, COLUMNS, readNotebook, type Column, type Notebook as NotebookTable } from '@urvek/study';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { Stage } from '../../components/Stage.tsx';
import { keepDraft, keptDraft, readingOf, type Reading } from './draft.ts';
import { Grid } from './Grid.tsx';
import { gridOf, replaced, type Cells } from './gridState.ts';
import { NotebookFiles } from './NotebookFiles.tsx';
import { Prose } from './Prose.tsx';
import { ReadingBar } from './ReadingBar.tsx';
import { TakeBar } from './TakeBar.tsx';
import { Troubles } from './Troubles.tsx';
import { useFileNotebook } from './useFileNotebook.ts';
import { useTaken } from './useTaken.ts';
import { WordsTable } from './WordsTable.tsx';
import * as phrases from './phrases.ts';

const NO_SAYINGS: readonly Saying[] = [];

/** Shown from the beginning; the others show themselves when they are used. */
const USUAL: readonly Column[] = [
  'product',
  'walk',
  'at',
  'point',
  'direction',
  'grade',
  'words',
  'event',
  'remark',
];

/** Walks written down afterwards: a grid, a row an observation. */
export function NotebookStage({ comparison }: { comparison: Comparison | undefined }) {
  const [draft] = useState(() => keptDraft(comparison?.id));
  const [state, setState] = useState(() => gridOf(draft.rows));
  const [more, setMore] = useState<readonly Column[]>([]);
  const [title, setTitle] = useState('');
  const [reading, setReading] = useState(draft.reading);
  // Taken twice, because an answer was lost, it is one comparison.
  const [newId] = useState(() => crypto.randomUUID());
  const [changed, setSayings] = useState(draft.sayings);
  const sayings = changed ?? comparison?.setup.sayings ?? NO_SAYINGS;
  const kept = useMemo(
    () => ({ rows: state.rows, reading, ...(changed ? { sayings: changed } : {}) }),
    [state.rows, reading, changed],
  );
  useEffect(() => keepDraft(comparison?.id, kept), [comparison?.id, kept]);
  const rows = useDeferredValue(state.rows);
  const shown = COLUMNS.filter(
    (c) => USUAL.includes(c) || more.includes(c) || rows.some((r) => r[c] !== undefined),
  );
  const { taken, isStale } = useTaken(comparison, newId, rows, reading, sayings);
  const marks = useMemo(
    () => new Map(taken.problems.map((p) => [`${p.line - 1} ${p.column ?? COLUMNS[0]}`, p])),
    [taken],
  );
  const file = useFileNotebook({
    ...{ comparison, newId, title, taken, sayings: changed },
    onTaken: () => {
      // What they took from the rows above goes with those.
      const left = asAbove(rows.map((cells, i) => ({ line: i + 1, cells })))
        .filter(({ line }) => taken.problems.some((p) => p.line === line))
        .map(({ cells }) => cells);
      keepDraft(comparison?.id, { rows: left, reading });
      setSayings(undefined);
      return left.length;
    },
  });
  // The table of words is read for the kind that is written about: of several it is that of all.
  const kinds = new Set((comparison?.setup.products ?? []).map((p) => p.kindId));
  const kindId = reading.kindId ?? (kinds.size === 1 ? [...kinds][0] : undefined);
  const choose = (change: Partial<Record<keyof Reading, string | undefined>>): void => {
    const { unit, method, kindId } = { ...reading, ...change };
    setReading(readingOf(unit, method, kindId));
  };
  const addRows = (notebook: NotebookTable): void => {
    const units = [...new Set(notebook.units.values())];
    if (units.length === 1) choose({ unit: units[0] });
    setState(replaced(state, [...state.rows, ...notebook.rows.map((r) => r.cells as Cells)]));
  };
  const whole = (text: string): boolean => {
    try {
      addRows(readNotebook(text));
      return true;
    } catch (error) {
      if (error instanceof FormatError) return false;
      throw error;
    }
  };
  return (
    <Stage
      title={phrases.writeAWalkDown}
      lead={phrases.oneRowAnObservationInThe}
      actions={<NotebookFiles rows={rows} onRead={addRows} />}
    >
      <ReadingBar
        reading={reading}
        shown={shown}
        onChange={choose}
        onShow={(column) => setMore([...more, column])}
      >
        {!comparison && (
          <Field
            className="w-56"
            label={phrases.comparison}
            placeholder={phrases.fromANotebook}
            value={title}
            onChange={(e) => setTitle(e.target.value)}
          />
        )}
      </ReadingBar>
      <Grid
        state={state}
        onChange={setState}
        shown={shown}
        markOf={(row, column) => marks.get(`${row} ${column}`)}
        onPasteWhole={whole}
      />
      <Troubles taken={taken} />
      <Prose
        context={{
          products: comparison?.setup.products.map((p) => p.name) ?? [],
          paths: comparison?.setup.paths.map((p) => p.name) ?? [],
          kindId,
          sayings,
        }}
        onTake={(found) => setState(replaced(state, [...state.rows, ...found]))}
      />
      <WordsTable
        said={rows.flatMap((r) => (r.words !== undefined && r.grade === undefined ? [r.words] : []))}
        kindId={kindId}
        own={sayings}
        onChange={setSayings}
      />
      <TakeBar
        taken={taken}
        isStale={isStale}
        isPending={file.isPending}
        error={file.error}
        onTake={() => file.mutate()}
      />
    </Stage>
  );
}
