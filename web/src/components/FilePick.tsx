import { Upload } from 'lucide-react';
import { useTextFile } from './useTextFile.ts';

/** A button that takes a text file. */
export function FilePick({
  label,
  hint,
  accept,
  ...reading
}: { label: string; hint: string; accept: string; read: (name: string, text: string) => void } & Parameters<
  typeof useTextFile
>[1]) {
  const { error, onChange } = useTextFile(reading.read, reading);
  return (
    <div>
      <label className="btn cursor-pointer focus-within:outline-3 focus-within:outline-accent">
        <Upload aria-hidden size={16} />
        {label}
        <input type="file" accept={accept} aria-label={hint} className="sr-only" onChange={onChange} />
      </label>
      {error !== undefined && (
        <p role="alert" className="max-w-96 text-[0.85rem] font-bold text-lost">
          {error}
        </p>
      )}
    </div>
  );
}
