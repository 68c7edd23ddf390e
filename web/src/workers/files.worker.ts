import {
  FormatError,
  isPing,
  readGpxTrack,
  readIperf3,
  readLevels,
  readPing,
  readSurvey,
  RouteFileError,
} from '@urvek/core';
import { InterchangeError, readWalkFile, type Setup } from '@urvek/contract';
import {
  readNotebook,
  readSheet,
  takeNotebook,
  type Notebook,
  type NotebookOptions,
  type NotebookRow,
  type TakenNotebook,
} from '@urvek/study';
import * as Comlink from 'comlink';
import { pathsFromFile } from './routePaths.ts';
import * as phrases from './phrases.ts';

const textOf = (file: File): Promise<string> => file.text();
/** Spreadsheets come with a large library, which is fetched when one is read or written. */
const workbooks = () => import('@urvek/study/workbook');

/** What a file can be read as, each by its own reader. */
const READERS = {
  sheet: async (file: File) => readSheet(await textOf(file)),
  notebook: async (file: File) =>
    readNotebook(
      /\.xlsx$/i.test(file.name)
        ? await (await workbooks()).csvOfWorkbook(new Uint8Array(await file.arrayBuffer()))
        : await textOf(file),
    ),
  survey: async (file: File) => readSurvey(await textOf(file)),
  measured: async (file: File) => {
    const text = await textOf(file);
    return isPing(text) ? readPing(text) : readIperf3(text);
  },
  levels: async (file: File) => readLevels(await textOf(file)),
  track: async (file: File) => readGpxTrack(await textOf(file)),
  routes: async (file: File) => pathsFromFile(file.name, await textOf(file)),
  /** As text: the base looks at all of it. */
  comparison: async (file: File) => {
    const text = await textOf(file);
    JSON.parse(text);
    return text;
  },
  walk: async (file: File) => readWalkFile(JSON.parse(await textOf(file))),
} as const;

export type FileKind = keyof typeof READERS;
export type FileRead<K extends FileKind> = Awaited<ReturnType<(typeof READERS)[K]>>;

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** What a reader says in its own words; anything else comes of a file that is something else, or nested too deep. */
const told = (error: unknown): string =>
  error instanceof FormatError ||
  error instanceof RouteFileError ||
  error instanceof InterchangeError ||
  error instanceof SyntaxError
    ? error.message.slice(0, 300)
    : phrases.itIsNotAFileOf;

const api = {
  /** Reads a file off the page's thread; the page ends it by ending the worker. */
  async read<K extends FileKind>(
    kind: K,
    file: File,
  ): Promise<{ readonly value: FileRead<K> } | { readonly trouble: string }> {
    try {
      return { value: (await READERS[kind](file)) as FileRead<K> };
    } catch (error) {
      return { trouble: told(error) };
    }
  },
  /** What very many rows of a notebook come to. */
  taken: (
    setup: Setup,
    comparisonId: string,
    notebook: Notebook,
    options: Omit<NotebookOptions, 'newId'>,
  ): TakenNotebook =>
    takeNotebook(setup, comparisonId, notebook, { ...options, newId: () => crypto.randomUUID() }),
  /** Rows of a notebook as an XLSX file. */
  async workbook(rows: readonly Pick<NotebookRow, 'cells'>[]): Promise<Blob> {
    const bytes = await (await workbooks()).workbookOf(rows);
    return new Blob([bytes.slice().buffer], { type: XLSX });
  },
};

export type FilesWorker = typeof api;
Comlink.expose(api);
