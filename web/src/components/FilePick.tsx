import { Upload } from 'lucide-react';
import type { FileKind } from '../workers/files.worker.ts';
import { useFile, type FileReading } from './useFile.ts';
import * as phrases from './phrases.ts';

/** A button that takes a file. */
export function FilePick<K extends FileKind>({
  label,
  hint,
  accept,
  ...asked
}: { label: string; hint: string; accept: string } & FileReading<K>) {
  const { error, reading, onChange } = useFile(asked);
  return (
    <div>
      <label className="btn cursor-pointer focus-within:outline-3 focus-within:outline-accent">
        <Upload aria-hidden size={16} />
        {label}
        <input type="file" accept={accept} aria-label={hint} className="sr-only" onChange={onChange} />
      </label>
      {reading && (
        <p role="status" className="mt-1 flex items-center gap-2 text-[0.87rem]">
          {phrases.reading(reading.name)}
          <button type="button" className="btn" onClick={reading.cancel}>
            {phrases.cancel}
          </button>
        </p>
      )}
      {error !== undefined && (
        <p role="alert" className="max-w-96 text-[0.87rem] font-bold text-lost">
          {error}
        </p>
      )}
    </div>
  );
}
