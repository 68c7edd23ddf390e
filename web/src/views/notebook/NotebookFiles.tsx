import { writeNotebook, type Notebook as NotebookTable } from '@urvek/study';
import { FilePick } from '../../components/FilePick.tsx';
import { fileThread } from '../../components/useFile.ts';
import { download } from '../../state/download.ts';
import type { Cells } from './gridState.ts';
import * as phrases from './phrases.ts';

const LIMIT_BYTES = 5_000_000;

/** The notebook as a file, and a file into the notebook. */
export function NotebookFiles({
  rows,
  onRead,
}: {
  rows: readonly Cells[];
  onRead: (notebook: NotebookTable) => void;
}) {
  const table = rows.map((cells) => ({ cells }));
  const asWorkbook = async (): Promise<void> => {
    const { files, end } = fileThread();
    download('notebook.xlsx', await files.workbook(table));
    end();
  };
  return (
    <>
      <button
        type="button"
        className="btn"
        disabled={rows.length === 0}
        onClick={() => download('notebook.csv', writeNotebook(table), 'text/csv')}
      >
        {phrases.saveAsCsv}
      </button>
      <button type="button" className="btn" disabled={rows.length === 0} onClick={() => void asWorkbook()}>
        {phrases.saveAsXlsx}
      </button>
      <FilePick
        kind="notebook"
        label={phrases.fromACsvOrXlsx}
        hint={phrases.aTableOfObservationsAsCsv}
        accept=".csv,.tsv,.txt,.xlsx,text/csv"
        limitBytes={LIMIT_BYTES}
        kept={phrases.theNotebookIsAsItWas}
        take={onRead}
      />
    </>
  );
}
