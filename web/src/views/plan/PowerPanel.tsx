import * as Comlink from 'comlink';
import { approximateWalks, widestStepRatio, type Power, type PowerQuestion } from '@urvek/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { PowerWorker } from '../../workers/power.worker.ts';
import { Answers } from './Answers.tsx';
import { STEPS, WALKS } from './powerPanelParts.tsx';
import * as phrases from './phrases.ts';

const COMPARISONS = 300;

/** How many walks, and how fine the marks, to tell a ratio: by simulating whole comparisons. */
export function PowerPanel({ ratio, sigma, walksEach }: { ratio: number; sigma: number; walksEach: number }) {
  const questions = useMemo(
    () =>
      STEPS.flatMap((stepRatio) =>
        WALKS.map((n): PowerQuestion => ({ ratio, sigma, walksEach: n, stepRatio })),
      ),
    [ratio, sigma],
  );
  const [answers, setAnswers] = useState<readonly Power[]>([]);
  const [running, setRunning] = useState(false);
  const worker = useRef<Worker>(undefined);
  const stop = (): void => {
    worker.current?.terminate();
    worker.current = undefined;
    setRunning(false);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const simulate = (): void => {
    stop();
    setAnswers([]);
    setRunning(true);
    const thread = new Worker(new URL('../../workers/power.worker.ts', import.meta.url), { type: 'module' });
    worker.current = thread;
    const onAnswer = Comlink.proxy((answer: Power, done: number) => {
      // An answer may still be under way when its worker was ended.
      if (worker.current !== thread) return;
      setAnswers((before) => [...before, answer]);
      if (done === questions.length) stop();
    });
    void Comlink.wrap<PowerWorker>(thread).sweep(questions, COMPARISONS, onAnswer);
  };
  return (
    <section className="sheet p-4" aria-label={phrases.howManyWalks}>
      <h2>{phrases.howManyWalksHowFineThe}</h2>
      <p className="mt-1">
        {phrases.toTell}
        <span className="figure">{ratio}×</span>
        {phrases.whenWalksSpreadByAFactor}
        <span className="figure">{Math.exp(sigma).toFixed(2)}</span>
        {phrases.asAFirstGuess}
        <strong className="figure">{approximateWalks(ratio, sigma)}</strong>
        {phrases.walksOfEachProductWithMarks}
        <strong className="figure">{((widestStepRatio(ratio) - 1) * 100).toFixed(0)} %</strong>.
      </p>
      <div className="no-print mt-2 flex items-center gap-3">
        {running ? (
          <button type="button" className="btn" onClick={stop}>
            {phrases.stop}
          </button>
        ) : (
          <button type="button" className="btn" onClick={simulate}>
            {phrases.simulateComparisons}
          </button>
        )}
        {(running || answers.length > 0) && (
          <>
            <progress
              max={questions.length}
              value={answers.length}
              aria-label={phrases.simulatedSoFar}
              className="w-48 accent-accent"
            />
            <span role="status" className="text-faint">
              {phrases.ofComparisonsEach(answers.length, questions.length, COMPARISONS)}
            </span>
          </>
        )}
      </div>
      {answers.length > 0 && <Answers answers={answers} walksEach={walksEach} />}
    </section>
  );
}
