import { DEFAULT_DELAY, LEAST_ANSWERS, learnReaction, type Reaction } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { useFieldLog } from '../../api/queries.ts';
import { Choice } from '../../components/Field.tsx';
import { Stage, TopBar } from '../../components/Frame.tsx';
import { forgetDelay, keepDelay, learnedDelay } from '../../field/operator.ts';
import { nowMs } from '../../field/time.ts';
import { playLesson, type Lesson } from './lesson.ts';

/** Learns how late whoever uses this device logs what they hear and see. */
export function Trainer() {
  return (
    <>
      <TopBar />
      <Stage
        title="Reaction trainer"
        lead="A voice and a moving mark drop out now and then. Press as soon as you notice; Urvek learns how late that is, and corrects positions by it."
      >
        <Lessons />
      </Stage>
    </>
  );
}

const ROUNDS = [6, 12, 24];

function Lessons() {
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

function Playing({ lesson, onPress }: { lesson: Lesson; onPress: (inputMs: number) => void }) {
  const mark = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let frame = 0;
    // The picture drops out with the sound: it stands still and fades.
    const draw = (): void => {
      const now = performance.now();
      if (mark.current) {
        const out = lesson.isOut(now);
        mark.current.style.opacity = out ? '0.15' : '1';
        if (!out) mark.current.style.left = `${(50 + 46 * Math.sin(now / 700)).toFixed(1)}%`;
      }
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [lesson]);
  return (
    <div className="grid gap-4" data-onsets={JSON.stringify(lesson.onsetsMs)}>
      <div
        className="sheet relative h-28 overflow-hidden"
        role="img"
        aria-label="A mark that moves while the link holds"
      >
        <div ref={mark} className="absolute top-8 size-12 -translate-x-1/2 bg-ink" />
      </div>
      <button
        type="button"
        className="pressable min-h-40 text-xl"
        onPointerDown={(e) => onPress(e.timeStamp)}
      >
        It dropped out<span className="key">D or space</span>
      </button>
      <p className="text-faint">Press as it goes; its coming back need not be pressed.</p>
    </div>
  );
}

function ResultOf({ result: { delay, delaysS, missed, falsePresses } }: { result: Reaction }) {
  return (
    <section aria-label="What was learned" data-delay={delay?.reactionS}>
      <h2>What was learned</h2>
      {delay ? (
        <p>
          You press <strong className="figure">{delay.reactionS.toFixed(3)} s</strong> after a dropout begins,
          ± <span className="figure">{delay.spreadS.toFixed(3)} s</span>. At walking pace that is{' '}
          <span className="figure">{(1.4 * delay.reactionS).toFixed(1)} m</span>; positions are corrected by
          it.
        </p>
      ) : (
        <p>Too few answers: at least {LEAST_ANSWERS} are needed. What was in force stays.</p>
      )}
      <p>
        Answered {delaysS.length}, missed {missed}, pressed for nothing {falsePresses}.
      </p>
    </section>
  );
}
