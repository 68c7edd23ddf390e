import type { EventBodies } from '@urvek/core';
import { Film } from 'lucide-react';
import { useRef, useState } from 'react';
import { openReel, type Reel } from './reel.ts';

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`;

/**
 * Chooses the files of a recording, several in a row by their names; the one that a log was made from is known again.
 */
export function PickReel({
  known,
  onReel,
}: {
  known: readonly EventBodies['recording'][];
  onReel: (reel: Reel) => void;
}) {
  const [trouble, setTrouble] = useState<string>();
  const [reading, setReading] = useState(false);
  const [other, setOther] = useState<Reel>();
  const stop = useRef(false);
  const open = async (files: readonly File[]): Promise<void> => {
    setTrouble(undefined);
    setOther(undefined);
    setReading(true);
    stop.current = false;
    try {
      const reel = await openReel(files, () => stop.current);
      if (stop.current) return;
      if (
        known.length > 0 &&
        !known.every((k) => reel.some((p) => p.digest === k.digest && p.file.size === k.bytes))
      )
        setOther(reel);
      else onReel(reel);
    } catch (error) {
      setTrouble((error as Error).message);
    } finally {
      setReading(false);
    }
  };
  return (
    <section className="sheet p-4" aria-label="Choose the recording">
      {known.length > 0 && (
        <p className="mb-2">
          This log was made from{' '}
          {known.map(({ name, bytes }, i) => (
            <span key={name}>
              {i > 0 && ', '}
              <strong>{name}</strong> ({megabytes(bytes)})
            </span>
          ))}
          . A browser keeps no files: choose it again. The log works without it.
        </p>
      )}
      <label className="btn cursor-pointer focus-within:outline-3 focus-within:outline-accent">
        <Film aria-hidden size={16} />
        Choose the recording
        <input
          type="file"
          multiple
          accept="video/*,audio/*,.mkv,.mov,.m4a"
          aria-label="A film or sound file, or several in a row"
          className="sr-only"
          onChange={(e) => {
            const files = [...(e.target.files ?? [])];
            e.target.value = '';
            if (files.length > 0) void open(files);
          }}
        />
      </label>
      <p className="mt-2 text-faint">
        MP4, MOV, MKV, WebM, WAV, MP3 or M4A, as far as this browser plays them. Several files are taken one
        after the other, by their names.
      </p>
      {reading && (
        <p role="status" className="mt-2 flex items-center gap-2">
          Looking at its frames …
          <button
            type="button"
            className="btn"
            onClick={() => {
              stop.current = true;
            }}
          >
            Cancel
          </button>
        </p>
      )}
      {trouble !== undefined && (
        <p role="alert" className="mt-2 font-bold text-lost">
          {trouble}. Nothing has changed.
        </p>
      )}
      {other && (
        <p role="alert" className="mt-2 border-l-4 border-degraded pl-3">
          This is another file than the log was made from: {other.map((p) => p.file.name).join(', ')}.{' '}
          <button type="button" className="btn" onClick={() => onReel(other)}>
            Use it all the same
          </button>
        </p>
      )}
    </section>
  );
}
