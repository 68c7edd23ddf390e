import { GRADES, kindOf, type Grade, type Graded } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { Trouble } from '../../components/States.tsx';
import type { ClipKind, PlayingClip } from './clip.ts';
import { PICTURE, playPicture } from './pictureClip.ts';
import { playSound } from './soundClip.ts';
import * as phrases from './phrases.ts';

/** By the words of the kind of product whose signal it is. */
const WORDS = {
  speech: kindOf('microphone').words,
  sound: kindOf('speaker').words,
  picture: kindOf('video-link').words,
} as const;

/** Clips one after the other, graded without being told what is lost of them. */
export function GradingClips({
  of,
  levels,
  onDone,
  onStop,
}: {
  of: ClipKind;
  levels: readonly number[];
  onDone: (graded: readonly Graded[]) => void;
  onStop: () => void;
}) {
  const [graded, setGraded] = useState<readonly Graded[]>([]);
  const [error, setError] = useState<Error>();
  const level = levels[graded.length];
  const playing = useRef<PlayingClip>(undefined);
  const canvas = useRef<HTMLCanvasElement>(null);
  const play = useRef<() => void>(() => undefined);
  useEffect(() => {
    play.current = () => {
      playing.current?.stop();
      if (level === undefined) return;
      if (of === 'picture') {
        if (canvas.current) playing.current = playPicture(canvas.current, level);
        return;
      }
      playSound(of, level).then(
        (clip) => (playing.current = clip),
        () => setError(new Error(phrases.thisBrowserPlaysNoSoundNothing)),
      );
    };
    play.current();
    return () => playing.current?.stop();
  }, [of, level, graded.length]);
  const grade = (given: Grade): void => {
    if (level === undefined) return;
    const all = [...graded, { level, grade: given }];
    if (all.length === levels.length) onDone(all);
    else setGraded(all);
  };
  const latest = useRef(grade);
  useEffect(() => {
    latest.current = grade;
  });
  useEffect(() => {
    const key = (e: KeyboardEvent): void => {
      const given = GRADES.find((g) => String(g) === e.key);
      if (given !== undefined && !e.repeat) latest.current(given);
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, []);
  return (
    <section aria-label={phrases.grading} className="sheet max-w-2xl p-4">
      <p role="status">{phrases.clipOfGradeItByA(graded.length + 1, levels.length)}</p>
      {error && <Trouble error={error} />}
      {of === 'picture' && (
        <canvas
          ref={canvas}
          {...PICTURE}
          className="mt-2 w-full border border-ink"
          role="img"
          aria-label={phrases.thePictureToGrade}
        />
      )}
      <div className="mt-2 grid grid-cols-5 gap-2" role="group" aria-label={phrases.grade}>
        {GRADES.toSorted((a, b) => b - a).map((g) => (
          <button
            key={g}
            type="button"
            className="pressable grid min-h-20 content-center justify-items-center"
            onClick={() => grade(g)}
          >
            <span className="figure text-xl">{g}</span>
            <span className="text-[0.87rem]">{WORDS[of][g]}</span>
          </button>
        ))}
      </div>
      <div className="mt-2 flex gap-2">
        <button type="button" className="btn" onClick={() => play.current()}>
          {of === 'picture' ? phrases.seeItAgain : phrases.hearItAgain}
        </button>
        <button type="button" className="btn" onClick={onStop}>
          {phrases.stopWithoutKeeping}
        </button>
      </div>
    </section>
  );
}
