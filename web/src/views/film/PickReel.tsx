import type { EventBodies } from '@urvek/core';
import { Film } from 'lucide-react';
import { useRef, useState } from 'react';
import { openReel, type Reel } from './reel.ts';
import * as phrases from './phrases.ts';

const megabytes = (bytes: number): string => phrases.mb((bytes / 1e6).toFixed(1));

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
    <section className="sheet p-4" aria-label={phrases.chooseTheRecording}>
      {known.length > 0 && (
        <p className="mb-2">
          {phrases.thisLogWasMadeFrom}
          {known.map(({ name, bytes }, i) => (
            <span key={name}>
              {i > 0 && ', '}
              <strong>{name}</strong> ({megabytes(bytes)})
            </span>
          ))}
          {phrases.aBrowserKeepsNoFilesChoose}
        </p>
      )}
      <label className="btn cursor-pointer focus-within:outline-3 focus-within:outline-accent">
        <Film aria-hidden size={16} />
        {phrases.chooseTheRecording}
        <input
          type="file"
          multiple
          accept="video/*,audio/*,.mkv,.mov,.m4a"
          aria-label={phrases.aFilmOrSoundFileOr}
          className="sr-only"
          onChange={(e) => {
            const files = [...(e.target.files ?? [])];
            e.target.value = '';
            if (files.length > 0) void open(files);
          }}
        />
      </label>
      <p className="mt-2 text-faint">{phrases.mp4MovMkvWebmWavMp3}</p>
      {reading && (
        <p role="status" className="mt-2 flex items-center gap-2">
          {phrases.lookingAtItsFrames}
          <button
            type="button"
            className="btn"
            onClick={() => {
              stop.current = true;
            }}
          >
            {phrases.cancel}
          </button>
        </p>
      )}
      {trouble !== undefined && (
        <p role="alert" className="mt-2 font-bold text-lost">
          {phrases.nothingHasChanged(trouble)}
        </p>
      )}
      {other && (
        <p role="alert" className="mt-2 border-l-4 border-degraded pl-3">
          {phrases.thisIsAnotherFileThanThe(other.map((p) => p.file.name).join(', '))}
          <button type="button" className="btn" onClick={() => onReel(other)}>
            {phrases.useItAllTheSame}
          </button>
        </p>
      )}
    </section>
  );
}
