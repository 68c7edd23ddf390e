import * as Comlink from 'comlink';
import { useState, type ChangeEvent } from 'react';
import type { FileKind, FileRead, FilesWorker } from '../workers/files.worker.ts';
import * as phrases from './phrases.ts';

export interface FileReading<K extends FileKind> {
  readonly kind: K;
  readonly limitBytes: number;
  /** What stays as it was when the file is not taken. */
  readonly kept: string;
  readonly take: (value: FileRead<K>, name: string) => void;
}

/** A file that is not read by then never will be, ms. */
const LONGEST_MS = 30_000;

/** A thread for files, to be ended when it is not needed any more. */
export function fileThread(): { readonly files: Comlink.Remote<FilesWorker>; readonly end: () => void } {
  const thread = new Worker(new URL('../workers/files.worker.ts', import.meta.url), { type: 'module' });
  return { files: Comlink.wrap<FilesWorker>(thread), end: () => thread.terminate() };
}

/**
 * A file chosen by the user, read in a thread of its own that can be ended, and handed on. What is wrong with it is
 * said with what was kept.
 */
export function useFile<K extends FileKind>({
  kind,
  limitBytes,
  kept,
  take,
}: FileReading<K>): {
  error: string | undefined;
  /** While it is read: its name, and how to end that. */
  reading: { readonly name: string; readonly cancel: () => void } | undefined;
  onChange: (e: ChangeEvent<HTMLInputElement>) => void;
} {
  const [error, setError] = useState<string>();
  const [reading, setReading] = useState<{ name: string; cancel: () => void }>();
  const refuse = (name: string, why: string): void => setError(phrases.wasNotImported(name, why, kept));
  const read = async (file: File): Promise<void> => {
    setError(undefined);
    if (file.size > limitBytes) return refuse(file.name, phrases.theFileIsLargerThanMb(limitBytes / 1e6));
    const { files, end } = fileThread();
    const done = (): void => {
      clearTimeout(timer);
      end();
      setReading(undefined);
    };
    const stop = (why: string): void => {
      done();
      refuse(file.name, why);
    };
    const timer = setTimeout(() => stop(phrases.itTookLongerThanSTo(LONGEST_MS / 1000)), LONGEST_MS);
    setReading({ name: file.name, cancel: () => stop(phrases.itWasCancelled) });
    const found = await files.read(kind, file);
    done();
    if ('trouble' in found) refuse(file.name, found.trouble);
    else take(found.value as FileRead<K>, file.name);
    return undefined;
  };
  return {
    error,
    reading,
    onChange: (e) => {
      const [file] = e.target.files ?? [];
      e.target.value = '';
      if (file) void read(file);
    },
  };
}
