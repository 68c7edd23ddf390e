import { GRADES, kindOf, type Grade, type Graded } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { Trouble } from '../../components/States.tsx';
import { playClip } from './clip.ts';
import * as phrases from './phrases.ts';

const WORDS = kindOf('microphone').words;

/** Clips one after the other, graded without being told what is lost of them. */
export function GradingClips({
  levels,
  onDone,
  onStop,
}: {
  levels: readonly number[];
  onDone: (graded: readonly Graded[]) => void;
  onStop: () => void;
}) {
  const [graded, setGraded] = useState<readonly Graded[]>([]);
  const [error, setError] = useState<Error>();
  const level = levels[graded.length];
  const playing = useRef<{ stop(): void }>(undefined);
  const play = useRef<() => void>(() => undefined);
  useEffect(() => {
    play.current = () => {
      playing.current?.stop();
      if (level === undefined) return;
      playClip(level).then(
        (clip) => (playing.current = clip),
        () => setError(new Error(phrases.thisBrowserPlaysNoSoundNothing)),
      );
    };
    play.current();
    return () => playing.current?.stop();
  }, [level, graded.length]);
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
      <div className="mt-2 grid grid-cols-5 gap-2" role="group" aria-label={phrases.grade}>
        {GRADES.toSorted((a, b) => b - a).map((g) => (
          <button
            key={g}
            type="button"
            className="pressable grid min-h-20 content-center justify-items-center"
            onClick={() => grade(g)}
          >
            <span className="figure text-xl">{g}</span>
            <span className="text-[0.87rem]">{WORDS[g]}</span>
          </button>
        ))}
      </div>
      <div className="mt-2 flex gap-2">
        <button type="button" className="btn" onClick={() => play.current()}>
          {phrases.hearItAgain}
        </button>
        <button type="button" className="btn" onClick={onStop}>
          {phrases.stopWithoutKeeping}
        </button>
      </div>
    </section>
  );
}
