import { EMPTY_SETUP, type Comparison } from '@urvek/contract';
import type { Saying } from '@urvek/core';
import { takeNotebook, type Notebook, type NotebookOptions, type TakenNotebook } from '@urvek/study';
import { useEffect, useMemo, useRef, useState } from 'react';
import { fileThread } from '../../components/useFile.ts';
import { nowMs } from '../../field/time.ts';
import type { Reading } from './draft.ts';
import type { Cells } from './gridState.ts';

/** More rows than these are read in a thread of their own: the page must go on. */
const AT_ONCE = 500;

const notebookOf = (rows: readonly Cells[]): Notebook => ({
  rows: rows.map((cells, i) => ({ line: i + 1, cells })),
  unknown: [],
  units: new Map(),
});

/** What the rows of a grid come to; of very many what they came to last, until the thread has read them anew. */
export function useTaken(
  comparison: Comparison | undefined,
  newId: string,
  rows: readonly Cells[],
  reading: Reading,
  sayings: readonly Saying[],
): { readonly taken: TakenNotebook; readonly isStale: boolean } {
  const given = comparison?.setup ?? EMPTY_SETUP;
  const id = comparison?.id ?? newId;
  const options = useMemo<Omit<NotebookOptions, 'newId'>>(
    () => ({ nowMs: nowMs(), sayings, ...reading }),
    [sayings, reading],
  );
  const few = rows.length <= AT_ONCE;
  const atOnce = useMemo(
    () =>
      takeNotebook(given, id, notebookOf(few ? rows : []), { ...options, newId: () => crypto.randomUUID() }),
    [given, id, few, rows, options],
  );
  const thread = useRef<ReturnType<typeof fileThread>>(undefined);
  useEffect(() => () => thread.current?.end(), []);
  const [read, setRead] = useState<{
    readonly of: readonly Cells[];
    readonly options: object;
    readonly taken: TakenNotebook;
  }>();
  useEffect(() => {
    if (few) return;
    let isLatest = true;
    thread.current ??= fileThread();
    void thread.current.files.taken(given, id, notebookOf(rows), options).then((taken) => {
      if (isLatest) setRead({ of: rows, options, taken });
    });
    return () => {
      isLatest = false;
    };
  }, [few, given, id, rows, options]);
  if (few) return { taken: atOnce, isStale: false };
  return { taken: read?.taken ?? atOnce, isStale: read?.of !== rows || read.options !== options };
}
