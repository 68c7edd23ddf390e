import { useMutation, useQueryClient } from '@tanstack/react-query';
import {
  guessMapping,
  previewSheet,
  walksOfSheet,
  type Sheet,
  type SheetMapping,
  type SheetOptions,
  type SheetPreview,
} from '@urvek/study';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { FilePick } from '../../components/FilePick.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Trouble } from '../../components/States.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { nowMs } from '../../field/time.ts';
import { SheetColumns } from './SheetColumns.tsx';
import { SheetProblems } from './SheetProblems.tsx';
import { SheetWalks } from './SheetWalks.tsx';
import * as phrases from './phrases.ts';

const LIMIT_BYTES = 5_000_000;

/**
 * Walks from a table that somebody kept: which column is what, what would come of it, and what is in the way.
 */
export function SheetImporter({ id, comparison: { setup } }: Ready) {
  const [sheet, setSheet] = useState<Sheet & { name: string }>();
  const [mapping, setMapping] = useState<SheetMapping>({});
  const [options, setOptions] = useState<SheetOptions>({
    unit: 'm',
    method: 'by eye',
    falling: 'the way back',
  });
  const preview = useMemo(
    () => sheet && previewSheet(setup, sheet, mapping, options),
    [sheet, mapping, options, setup],
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
      notice({ text: phrases.imported(phrases.countedWalks(walks)) });
      void navigate(`/c/${id}/trace`);
    },
  });
  return (
    <Stage title={phrases.walksFromATable} lead={phrases.aSpreadsheetSavedAsCsvOne}>
      <section className="sheet p-4">
        <FilePick
          label={sheet ? phrases.anotherFile : phrases.chooseAFile}
          hint={phrases.importWalksACsvWithA}
          accept=".csv,.tsv,.txt,text/csv"
          kind="sheet"
          limitBytes={LIMIT_BYTES}
          kept={phrases.nothingWasImported}
          take={(read, name) => {
            setSheet({ ...read, name });
            setMapping(guessMapping(read));
          }}
        />
        {sheet && (
          <SheetColumns
            sheet={sheet}
            mapping={mapping}
            options={options}
            onMapping={setMapping}
            onOptions={(change) => setOptions({ ...options, ...change })}
          />
        )}
      </section>
      {!sheet && (
        <div className="mt-4">
          <Empty title={phrases.noFileYet}>{phrases.theFirstLineNamesTheColumns}</Empty>
        </div>
      )}
      {preview && (
        <>
          {preview.problems.length > 0 && <SheetProblems preview={preview} />}
          <section className="sheet mt-4 p-4" aria-label={phrases.whatWouldBeImported}>
            <h2>{phrases.countedWalks(preview.walks.length)}</h2>
            <SheetWalks preview={preview} />
            <p className="mt-2 text-[0.87rem] text-faint">{phrases.gradesReadFromWordsStandBeside}</p>
            {take.error && <Trouble error={take.error} />}
            <button
              className="btn btn-main mt-2"
              disabled={preview.problems.length > 0 || preview.walks.length === 0 || take.isPending}
              onClick={() => take.mutate(preview)}
            >
              {phrases.importText(phrases.countedWalks(preview.walks.length))}
            </button>
          </section>
        </>
      )}
    </Stage>
  );
}
