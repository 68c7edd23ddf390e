import type { Path, Trace } from '@urvek/core';
import { chapterList, cutsCsv, srtOf, vttOf } from '@urvek/study';
import { download } from '../../state/download.ts';
import { useUnit } from '../../state/unit.ts';
import { Overlay } from './Overlay.tsx';
import { secondsOfReel, type Reel } from './reel.ts';
import * as phrases from './phrases.ts';

/** What a film takes along: captions, chapters, cuts and an overlay, on its own clock and with the log's figures. */
export function FilmFiles({
  trace,
  reel,
  path,
  label,
}: {
  trace: Trace;
  reel: Reel;
  path: Path;
  label: string;
}) {
  const [unit] = useUnit();
  const clock = { beginsS: 0, seconds: secondsOfReel(reel) };
  const asked = [{ trace }, clock, unit] as const;
  const name = (reel[0]?.file.name ?? 'film').replace(/\.[^.]*$/, '');
  return (
    <details className="sheet mt-3 p-3">
      <summary className="cursor-pointer font-bold">{phrases.forTheFilmCaptionsChaptersCuts}</summary>
      <p className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => download(`${name}.srt`, srtOf(...asked))}>
          {phrases.captionsSrt}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => download(`${name}.vtt`, vttOf(...asked), 'text/vtt')}
        >
          {phrases.captionsWebvtt}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => download(`${name}-chapters.txt`, chapterList(...asked))}
        >
          {phrases.chapters}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => download(`${name}-cuts.csv`, cutsCsv(...asked), 'text/csv')}
        >
          {phrases.cutsCsv}
        </button>
      </p>
      <p className="mt-1 text-faint">{phrases.distanceStateGradeAndDropoutsAre}</p>
      <Overlay trace={trace} path={path} clock={clock} label={label} name={name} />
    </details>
  );
}
