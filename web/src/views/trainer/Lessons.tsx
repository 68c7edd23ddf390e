import { DEFAULT_DELAY, learnReaction, type Reaction } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { useFieldLog } from '../../api/queries.ts';
import { Choice } from '../../components/Field.tsx';
import { forgetDelay, keepDelay, learnedDelay } from '../../field/operator.ts';
import { nowMs } from '../../field/time.ts';
import { Playing } from './Playing.tsx';
import { ResultOf } from './ResultOf.tsx';
import { playLesson, type Lesson } from './lesson.ts';
import * as phrases from './phrases.ts';

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
            {phrases.inForceOnThisDevice}
            <strong className="figure">
              {known.reactionS.toFixed(2)} ± {known.spreadS.toFixed(2)} s
            </strong>
            {phrases.fromAnswers(known.answers)}
            <button className="btn-quiet" onClick={() => void forgetDelay()}>
              {phrases.forgetIt}
            </button>
          </>
        ) : (
          <>
            {phrases.nothingIsLearnedYetTheUsual}
            <span className="figure">
              {DEFAULT_DELAY.reactionS} ± {DEFAULT_DELAY.spreadS} s
            </span>
            {phrases.isUsed}
          </>
        )}
        {phrases.walksKeepTheValueThatThey}
      </p>
      <Choice
        className="w-56"
        label={phrases.dropouts}
        value={rounds}
        onChange={(e) => setRounds(Number(e.target.value))}
      >
        {ROUNDS.map((n) => (
          <option key={n} value={n}>
            {phrases.aboutS(n, Math.round((n * 5.5) / 10) * 10)}
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
        {phrases.iListenByTheDevicesOwn}
      </label>
      {trouble && (
        <p role="alert" className="border-l-4 border-lost pl-3">
          {trouble}
        </p>
      )}
      <div>
        <button className="btn btn-main min-h-16" disabled={!wired} onClick={() => void start()}>
          {phrases.beginTheLesson}
        </button>
      </div>
      {result && <ResultOf result={result} />}
    </div>
  );
}
