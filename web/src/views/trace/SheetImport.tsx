import { useMutation, useQueryClient } from '@tanstack/react-query';
import {
  DISTANCE_METHODS,
  formatLength,
  LENGTH_UNITS,
  type DistanceMethod,
  type LengthUnit,
} from '@urvek/core';
import {
  guessMapping,
  previewSheet,
  SHEET_FIELDS,
  walksOfSheet,
  type Sheet,
  type SheetField,
  type SheetMapping,
  type SheetOptions,
  type SheetPreview,
} from '@urvek/study';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { Choice, Options } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Empty, Trouble } from '../../components/States.tsx';
import { nowMs } from '../../field/time.ts';

export const SheetImport = () => (
  <WithWorkspace open>{(workspace) => <Importer {...workspace} />}</WithWorkspace>
);

const LIMIT_BYTES = 5_000_000;
const SHOWN = 12;

/**
 * Walks from a table that somebody kept: which column is what, what would come of it, and what is in the way.
 */
function Importer({ id, comparison: { setup } }: Ready) {
  const [sheet, setSheet] = useState<Sheet & { name: string }>();
  const [mapping, setMapping] = useState<SheetMapping>({});
  const [unit, setUnit] = useState<LengthUnit>('m');
  const [method, setMethod] = useState<DistanceMethod>('by eye');
  const [falling, setFalling] = useState<SheetOptions['falling']>('the way back');
  const preview = useMemo(
    () => sheet && previewSheet(setup, sheet, mapping, { unit, method, falling }),
    [sheet, mapping, unit, method, falling, setup],
  );
  const client = useQueryClient();
  const navigate = useNavigate();
  const notice = useNotice();
  const take = useMutation({
    mutationFn: (ready: SheetPreview) =>
      base.importWalks(
        id,
        walksOfSheet(ready, id, () => crypto.randomUUID(), nowMs()),
      ),
    onSuccess: ({ walks }) => {
      void client.invalidateQueries({ queryKey: ['walks', id] });
      notice({ text: `${walks} ${walks === 1 ? 'walk' : 'walks'} imported` });
      void navigate(`/c/${id}/trace`);
    },
  });
  return (
    <Stage
      title="Walks from a table"
      lead="A spreadsheet saved as CSV, one row a point: where, and how good. Products and paths are matched by name with Kit and Paths."
    >
      <section className="sheet p-4">
        <FilePick
          label={sheet ? 'Another file' : 'Choose a file'}
          hint="Import walks: a CSV, with a header"
          accept=".csv,.tsv,.txt,text/csv"
          kind="sheet"
          limitBytes={LIMIT_BYTES}
          kept="Nothing was imported."
          take={(read, name) => {
            setSheet({ ...read, name });
            setMapping(guessMapping(read));
          }}
        />
        {sheet && (
          <div className="mt-3 grid grid-cols-2 gap-2 lg:grid-cols-5">
            {SHEET_FIELDS.map((field) => (
              <Choice
                key={field}
                label={LABEL[field]}
                value={mapping[field] ?? ''}
                onChange={(e) => setMapping({ ...mapping, [field]: e.target.value || undefined })}
              >
                <option value="">no column</option>
                {sheet.columns.map((c) => (
                  <option key={c}>{c}</option>
                ))}
              </Choice>
            ))}
            <Choice
              label="Figures without a unit are in"
              value={unit}
              onChange={(e) => setUnit(e.target.value as LengthUnit)}
            >
              <Options of={LENGTH_UNITS} />
            </Choice>
            <Choice
              label="Distances that fall are"
              value={falling}
              onChange={(e) => setFalling(e.target.value as SheetOptions['falling'])}
            >
              <option>the way back</option>
              <option>rows out of order</option>
            </Choice>
            <Choice
              label="Distances come from"
              value={method}
              onChange={(e) => setMethod(e.target.value as DistanceMethod)}
            >
              <Options of={DISTANCE_METHODS} />
            </Choice>
          </div>
        )}
      </section>
      {!sheet && (
        <div className="mt-4">
          <Empty title="No file yet">
            The first line names the columns, whatever they are called: product, path, walk, distance, and a
            grade, words, or presses and hits. “100 ft”, “about 40”, “30-40”, “over 200”, “?” and “silence”
            are understood; what is left empty stays not stated.
          </Empty>
        </div>
      )}
      {preview && (
        <>
          {preview.problems.length > 0 && (
            <section className="sheet mt-4 p-4" aria-label="In the way">
              <h2>
                {preview.problems.length} {preview.problems.length === 1 ? 'row is' : 'rows are'} in the way;
                nothing is imported until all are right
              </h2>
              <table className="table mt-1">
                <thead>
                  <tr>
                    <th>Line</th>
                    <th>Column</th>
                    <th>What</th>
                  </tr>
                </thead>
                <tbody>
                  {preview.problems.slice(0, SHOWN).map((p) => (
                    <tr key={`${p.line}-${p.what}`}>
                      <td className="figure">{p.line}</td>
                      <td>{p.column ?? ''}</td>
                      <td>{p.what}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              {preview.problems.length > SHOWN && (
                <p className="text-faint">and {preview.problems.length - SHOWN} more.</p>
              )}
            </section>
          )}
          <section className="sheet mt-4 p-4" aria-label="What would be imported">
            <h2>
              {preview.walks.length} {preview.walks.length === 1 ? 'walk' : 'walks'}
            </h2>
            <table className="table mt-1">
              <thead>
                <tr>
                  <th>Product</th>
                  <th>Path</th>
                  <th>Walk</th>
                  <th>Points</th>
                </tr>
              </thead>
              <tbody>
                {preview.walks.map((w) => (
                  <tr key={`${w.product.id}-${w.path.id}-${w.label}`}>
                    <td>{w.product.name}</td>
                    <td>{w.path.name}</td>
                    <td>{w.label}</td>
                    <td className="figure">
                      {w.points.map((p, i) => pointText(p, w.backFrom === i)).join('; ')}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="mt-2 text-[0.87rem] text-faint">
              Grades read from words stand beside them: confirm them by importing, or write figures into the
              file.
            </p>
            {take.error && <Trouble error={take.error} />}
            <button
              className="btn btn-main mt-2"
              disabled={preview.problems.length > 0 || preview.walks.length === 0 || take.isPending}
              onClick={() => take.mutate(preview)}
            >
              Import {preview.walks.length} {preview.walks.length === 1 ? 'walk' : 'walks'}
            </button>
          </section>
        </>
      )}
    </Stage>
  );
}

/** A point as it would be imported: where, how good, and from which words. */
function pointText(p: SheetPreview['walks'][number]['points'][number], turned: boolean): string {
  const where = [
    p.name,
    p.reading
      ? `${p.side === 'at' ? '' : `${p.side} `}${formatLength(p.reading.travelledM)}${p.reading.uncertaintyM === undefined ? '' : ` ± ${formatLength(2 * p.reading.uncertaintyM)}`}`
      : 'place unknown',
  ]
    .filter((t) => t !== '')
    .join(', ');
  const found = p.grade === undefined ? `${p.hits} of ${p.presses}` : `grade ${p.grade}`;
  return `${turned ? 'way back: ' : ''}${where}: ${found}${p.from === undefined ? '' : ` (“${p.from}”)`}`;
}

const LABEL: Readonly<Record<SheetField, string>> = {
  product: 'Product',
  path: 'Path',
  walk: 'Walk',
  distance: 'Distance',
  place: 'Place, by its name',
  direction: 'Direction',
  grade: 'Grade or words',
  presses: 'Presses',
  hits: 'Hits',
  date: 'Day',
  note: 'Note',
};
