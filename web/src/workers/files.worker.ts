import { FormatError, readLevels, readSurvey, RouteFileError } from '@urvek/core';
import { InterchangeError, readWalkFile } from '@urvek/contract';
import { readSheet } from '@urvek/study';
import * as Comlink from 'comlink';
import { pathsFromFile } from './routePaths.ts';

/** What a file can be read as, each by its own reader. */
const READERS = {
  sheet: (_: string, text: string) => readSheet(text),
  survey: (_: string, text: string) => readSurvey(text),
  levels: (_: string, text: string) => readLevels(text),
  routes: pathsFromFile,
  /** As text: the base looks at all of it. */
  comparison: (_: string, text: string) => {
    JSON.parse(text);
    return text;
  },
  walk: (_: string, text: string) => readWalkFile(JSON.parse(text)),
} as const;

export type FileKind = keyof typeof READERS;
export type FileRead<K extends FileKind> = ReturnType<(typeof READERS)[K]>;

/** What a reader says in its own words; anything else comes of a file that is something else, or nested too deep. */
const told = (error: unknown): string =>
  error instanceof FormatError ||
  error instanceof RouteFileError ||
  error instanceof InterchangeError ||
  error instanceof SyntaxError
    ? error.message.slice(0, 300)
    : 'it is not a file of this kind, or is nested too deep to be read';

const api = {
  /** Reads a file off the page's thread; the page ends it by ending the worker. */
  async read<K extends FileKind>(
    kind: K,
    file: File,
  ): Promise<{ readonly value: FileRead<K> } | { readonly trouble: string }> {
    try {
      return { value: READERS[kind](file.name, await file.text()) as FileRead<K> };
    } catch (error) {
      return { trouble: told(error) };
    }
  },
};

export type FilesWorker = typeof api;
Comlink.expose(api);
