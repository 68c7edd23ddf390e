import { DEFAULT_DELAY, learnReaction, type Reaction } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { useFieldLog } from '../../api/queries.ts';
import { Choice } from '../../components/Field.tsx';
import { forgetDelay, keepDelay, learnedDelay } from '../../field/operator.ts';
import { nowMs } from '../../field/time.ts';
import { Playing } from './Playing.tsx';
import { ResultOf } from './ResultOf.tsx';
import { playLesson, type Lesson } from './lesson.ts';

const ROUNDS = [6, 12, 24];

export function Lessons() {
  const known = useFieldLog(learnedDelay, 'operator-delay');
  const [wired, setWired] = useState(false);
  const [rounds, setRounds] = useState(12);
  const [lesson, setLesson] = useState<Lesson>();
  const [result, setResult] = useState<Reaction>();
  const [trouble, setTrouble] = useState<string>();
  const pressed = useRef<number[]>([]);

  useEffect(() => {
    if (!lesson) return;
    const onKey = (e: KeyboardEvent): void => {
      if (e.repeat || (e.key !== ' ' && e.key.toLowerCase() !== 'd')) return;
      e.preventDefault();
      pressed.current.push(e.timeStamp);
    };
    window.addEventListener('keydown', onKey);
    let gone = false;
    void lesson.over.then(() => {
      if (gone) return;
      const learned = learnReaction(
        lesson.onsetsMs.map((ms) => ms / 1000),
        pressed.current.map((ms) => ms / 1000),
      );
      setResult(learned);
      setLesson(undefined);
      if (learned.delay) void keepDelay({ ...learned.delay, answers: learned.delaysS.length, atMs: nowMs() });
    });
    return () => {
      gone = true;
      window.removeEventListener('keydown', onKey);
      lesson.stop();
    };
  }, [lesson]);

  const start = async (): Promise<void> => {
    pressed.current = [];
    setResult(undefined);
    setTrouble(undefined);
    try {
      setLesson(await playLesson(rounds));
    } catch (cause) {
      setTrouble((cause as Error).message);
    }
  };

  if (lesson) return <Playing lesson={lesson} onPress={(ms) => pressed.current.push(ms)} />;
  return (
    <div className="sheet grid max-w-2xl gap-3 p-4">
      <p>
        {known ? (
          <>
            In force on this device:{' '}
            <strong className="figure">
              {known.reactionS.toFixed(2)} ± {known.spreadS.toFixed(2)} s
            </strong>
            , from {known.answers} answers.{' '}
            <button className="btn-quiet" onClick={() => void forgetDelay()}>
              Forget it
            </button>
          </>
        ) : (
          <>
            Nothing is learned yet: the usual{' '}
            <span className="figure">
              {DEFAULT_DELAY.reactionS} ± {DEFAULT_DELAY.spreadS} s
            </span>{' '}
            is used.
          </>
        )}{' '}
        Walks keep the value that they were made with.
      </p>
      <Choice
        className="w-56"
        label="Dropouts"
        value={rounds}
        onChange={(e) => setRounds(Number(e.target.value))}
      >
        {ROUNDS.map((n) => (
          <option key={n} value={n}>
            {n}, about {Math.round((n * 5.5) / 10) * 10} s
          </option>
        ))}
      </Choice>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-ink"
          checked={wired}
          onChange={(e) => setWired(e.target.checked)}
        />
        I listen by the device’s own speaker or by wire. Wireless headphones delay the sound by an unknown
        time: they will not do.
      </label>
      {trouble && (
        <p role="alert" className="border-l-4 border-lost pl-3">
          {trouble}
        </p>
      )}
      <div>
        <button className="btn btn-main min-h-16" disabled={!wired} onClick={() => void start()}>
          Begin the lesson
        </button>
      </div>
      {result && <ResultOf result={result} />}
    </div>
  );
}
