import { approximateWalks, widestStepRatio, type Power, type PowerQuestion } from '@urvek/core';
import { COLOUR } from '@urvek/draw';
import * as Comlink from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { axis, frame, percent, series } from '../../components/chartStyle.ts';
import type { PowerWorker } from '../../workers/power.worker.ts';

const WALKS = [2, 3, 4, 6, 8, 12, 16];
const STEPS = [1.02, 1.05, 1.1, 1.25];
const COMPARISONS = 300;
const stepText = (ratio: number): string => `steps of ${Math.round(100 * (ratio - 1))} %`;

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
    <section className="sheet p-4" aria-label="How many walks">
      <h2>How many walks, how fine the marks?</h2>
      <p className="mt-1">
        To tell <span className="figure">{ratio}×</span> when walks spread by a factor of{' '}
        <span className="figure">{Math.exp(sigma).toFixed(2)}</span>: as a first guess{' '}
        <strong className="figure">{approximateWalks(ratio, sigma)}</strong> walks of each product, with marks
        no wider apart than{' '}
        <strong className="figure">{((widestStepRatio(ratio) - 1) * 100).toFixed(0)} %</strong>.
      </p>
      <div className="no-print mt-2 flex items-center gap-3">
        {running ? (
          <button type="button" className="btn" onClick={stop}>
            Stop
          </button>
        ) : (
          <button type="button" className="btn" onClick={simulate}>
            Simulate comparisons
          </button>
        )}
        {(running || answers.length > 0) && (
          <>
            <progress
              max={questions.length}
              value={answers.length}
              aria-label="Simulated so far"
              className="w-48 accent-accent"
            />
            <span role="status" className="text-faint">
              {answers.length} of {questions.length}, {COMPARISONS} comparisons each
            </span>
          </>
        )}
      </div>
      {answers.length > 0 && <Answers answers={answers} walksEach={walksEach} />}
    </section>
  );
}

function Answers({ answers, walksEach }: { answers: readonly Power[]; walksEach: number }) {
  const at = (step: number, n: number): number | undefined =>
    answers.find((a) => a.question.stepRatio === step && a.question.walksEach === n)?.power;
  const option = useMemo(
    () => ({
      ...frame({ right: 44 }),
      tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => (typeof v === 'number' ? percent(v) : '') },
      xAxis: axis('walks of each product', { min: 2, max: 16 }),
      yAxis: axis('', { min: 0, max: 1, axisLabel: { formatter: percent } }),
      series: STEPS.map((step, i) => ({
        type: 'line',
        name: stepText(step),
        symbol: series(i).symbol,
        symbolSize: 7,
        lineStyle: { type: series(i).type, color: series(i).colour, width: 2 },
        itemStyle: { color: series(i).colour },
        data: answers
          .filter((a) => a.question.stepRatio === step)
          .map((a) => [a.question.walksEach, a.power]),
        ...(i === 0
          ? {
              markLine: {
                silent: true,
                symbol: 'none',
                lineStyle: { color: COLOUR.faint, type: 'dashed' },
                label: { formatter: '80 %' },
                data: [{ yAxis: 0.8 }],
              },
            }
          : {}),
      })),
    }),
    [answers],
  );
  return (
    <div className="mt-2 grid gap-4 lg:grid-cols-[1.3fr_1fr]">
      <Chart
        option={option}
        label="Share of comparisons that tell the products apart, over walks and steps; the figures stand in the table"
      />
      <table className="table h-fit">
        <caption className="text-left text-[0.85rem] text-faint">
          Share of comparisons that tell them apart
        </caption>
        <thead>
          <tr>
            <th>Walks each</th>
            {STEPS.map((s) => (
              <th key={s}>{stepText(s)}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {WALKS.map((n) => (
            <tr key={n} className={n === walksEach ? 'bg-white font-bold' : ''}>
              <td className="figure">
                {n}
                {n === walksEach && <span className="sr-only"> (planned)</span>}
              </td>
              {STEPS.map((s) => {
                const p = at(s, n);
                return (
                  <td key={s} className="figure">
                    {p === undefined ? '' : percent(p)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
