import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Comparison } from '@urvek/contract';
import { DISTANCE_METHODS, FormatError, KINDS, LENGTH_UNITS, type Saying } from '@urvek/core';
import {
  asAbove,
  COLUMNS,
  readNotebook,
  writeNotebook,
  type Column,
  type Notebook as NotebookTable,
} from '@urvek/study';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { base, OutOfReach } from '../../api/client.ts';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { Stage, WithWorkspace } from '../../components/Frame.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import { fileThread } from '../../components/useFile.ts';
import { download } from '../../state/download.ts';
import { keepDraft, keptDraft, readingOf, type Reading } from './draft.ts';
import { Grid } from './Grid.tsx';
import { gridOf, replaced, type Cells } from './gridState.ts';
import { Prose } from './Prose.tsx';
import { Troubles } from './Troubles.tsx';
import { useTaken } from './useTaken.ts';
import { WordsTable } from './WordsTable.tsx';

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

/** With nothing set up: a comparison is made of what is written. */
export const NewNotebook = () => <Notebook comparison={undefined} />;
export const ComparisonNotebook = () => (
  <WithWorkspace open>{({ comparison }) => <Notebook comparison={comparison} />}</WithWorkspace>
);

/** Walks written down afterwards: a grid, a row an observation. */
function Notebook({ comparison }: { comparison: Comparison | undefined }) {
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
  const client = useQueryClient();
  const navigate = useNavigate();
  const notice = useNotice();
  const file = useMutation({
    mutationFn: async () => {
      const into =
        comparison ??
        (await base.create({
          id: newId,
          title: title.trim() || 'From a notebook',
          question: '',
        }));
      const now = {
        ...taken,
        walks: taken.walks.map((w) => ({ ...w, header: { ...w.header, comparisonId: into.id } })),
      };
      if (now.made.length > 0 || changed)
        await base.update(into.id, {
          title: into.title,
          question: into.question,
          revision: into.revision,
          setup: { ...now.setup, ...(changed ? { sayings: [...changed] } : {}) },
        });
      await base.importWalks(into.id, now.walks);
      return into.id;
    },
    onSuccess: (id) => {
      // What they took from the rows above goes with those.
      const left = asAbove(rows.map((cells, i) => ({ line: i + 1, cells })))
        .filter(({ line }) => taken.problems.some((p) => p.line === line))
        .map(({ cells }) => cells);
      keepDraft(comparison?.id, { rows: left, reading });
      setSayings(undefined);
      for (const key of [['walks', id], ['comparison', id], ['comparisons']])
        void client.invalidateQueries({ queryKey: key });
      notice({
        text: `${taken.rows} rows are ${taken.walks.length} ${taken.walks.length === 1 ? 'walk' : 'walks'} now${left.length > 0 ? `; ${left.length} wait in the notebook` : ''}`,
      });
      void navigate(`/c/${id}/trace`);
    },
  });
  // The table of words is read for the kind that is written about: of several it is that of all.
  const kinds = new Set((comparison?.setup.products ?? []).map((p) => p.kindId));
  const kindId = reading.kindId ?? (kinds.size === 1 ? [...kinds][0] : undefined);
  const wrong = new Set(taken.problems.map((p) => p.line)).size;
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
  const asWorkbook = async (): Promise<void> => {
    const { files, end } = fileThread();
    download('notebook.xlsx', await files.workbook(rows.map((cells) => ({ cells }))));
    end();
  };
  return (
    <Stage
      title="Write a walk down"
      lead="One row an observation, in the order of walking: where, and how it was. Leave empty what nobody knows; product, walk and path are as in the row above."
      actions={
        <>
          <button
            type="button"
            className="btn"
            disabled={rows.length === 0}
            onClick={() =>
              download('notebook.csv', writeNotebook(rows.map((cells) => ({ cells }))), 'text/csv')
            }
          >
            Save as CSV
          </button>
          <button
            type="button"
            className="btn"
            disabled={rows.length === 0}
            onClick={() => void asWorkbook()}
          >
            Save as XLSX
          </button>
          <FilePick
            kind="notebook"
            label="From a CSV or XLSX"
            hint="A table of observations, as CSV or XLSX"
            accept=".csv,.tsv,.txt,.xlsx,text/csv"
            limitBytes={LIMIT_BYTES}
            kept="The notebook is as it was."
            take={addRows}
          />
        </>
      }
    >
      <div className="sheet mb-3 flex flex-wrap items-end gap-3 p-3">
        {!comparison && (
          <Field
            className="w-56"
            label="Comparison"
            placeholder="From a notebook"
            value={title}
            onChange={(e) => setTitle(e.target.value)}
          />
        )}
        <Choice
          label="Figures without a unit are"
          value={reading.unit ?? ''}
          onChange={(e) => choose({ unit: e.target.value })}
        >
          <option value="">asked about</option>
          <Options of={LENGTH_UNITS} />
        </Choice>
        <Choice
          label="Distances by"
          value={reading.method ?? ''}
          onChange={(e) => choose({ method: e.target.value })}
        >
          <option value="">as the path says, else by eye</option>
          <Options of={DISTANCE_METHODS} />
        </Choice>
        <Choice
          label="New products are"
          value={reading.kindId ?? ''}
          onChange={(e) => choose({ kindId: e.target.value })}
        >
          <option value="">not stated</option>
          {KINDS.map((k) => (
            <option key={k.id} value={k.id}>
              {k.name}
            </option>
          ))}
        </Choice>
        <Choice label="More columns" value="" onChange={(e) => setMore([...more, e.target.value as Column])}>
          <option value="">show …</option>
          {COLUMNS.filter((c) => !shown.includes(c)).map((c) => (
            <option key={c} value={c}>
              {c.replaceAll('_', ' ')}
            </option>
          ))}
        </Choice>
      </div>
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
      <div className="no-print sticky bottom-0 z-10 mt-3 flex flex-wrap items-center gap-3 border-t-2 border-ink bg-sheet px-3 py-2">
        <button
          type="button"
          className="btn btn-main"
          disabled={taken.walks.length === 0 || wrong > 0 || file.isPending || isStale}
          onClick={() => file.mutate()}
        >
          {file.isPending ? 'Taking them …' : `Take ${taken.rows} ${taken.rows === 1 ? 'row' : 'rows'}`}
        </button>
        {wrong > 0 && taken.walks.length > 0 && (
          <button
            type="button"
            className="btn"
            disabled={file.isPending || isStale}
            onClick={() => file.mutate()}
          >
            Leave {wrong} here, and take the other {taken.rows}
          </button>
        )}
        <span className="text-faint">
          {isStale && 'Reading the rows … '}
          {taken.walks.length} {taken.walks.length === 1 ? 'walk' : 'walks'}
          {taken.made.length > 0 && `; new: ${taken.made.join(', ')}, all else of them not stated`}
        </span>
      </div>
      {file.error && (
        <Trouble
          error={
            file.error instanceof OutOfReach
              ? new OutOfReach(
                  'The base does not answer. What is written here stays on this device: take it again when it does.',
                )
              : file.error
          }
        />
      )}
    </Stage>
  );
}

const LIMIT_BYTES = 5_000_000;
const NO_SAYINGS: readonly Saying[] = [];
