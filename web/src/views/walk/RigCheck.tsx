import type { CheckResult, Kind } from '@urvek/core';
import { useState } from 'react';
import * as phrases from './phrases.ts';

export type Results = Readonly<Record<string, CheckResult>>;

/** What is seen to at the zero point, in a line or one by one; what fails is kept with the walk. */
export function RigCheck({
  kind,
  results,
  onChange,
  checkedBefore,
}: {
  kind: Kind;
  results: Results;
  onChange: (results: Results) => void;
  checkedBefore: boolean;
}) {
  const [open, setOpen] = useState(false);
  const set = (id: string, result: CheckResult): void =>
    onChange({ ...results, [id]: results[id] === result ? 'not done' : result });
  const of = (result: CheckResult): number => kind.checks.filter((c) => results[c.id] === result).length;
  const [good, failed] = [of('good'), of('failed')];
  return (
    <section className="border-t border-rule pt-2" aria-label={phrases.rigCheck}>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 className="text-base whitespace-nowrap">{phrases.rigCheck}</h2>
        <p role="status" className="flex-1 text-faint">
          {good === kind.checks.length
            ? phrases.allGood
            : good + failed > 0
              ? phrases.ofGood(good, kind.checks.length)
              : checkedBefore
                ? phrases.madeBeforeAnEarlierWalkOf
                : phrases.notMade}
        </p>
        <div className="flex gap-3">
          <button
            type="button"
            className="btn"
            onClick={() => onChange(Object.fromEntries(kind.checks.map((c) => [c.id, 'good'])))}
          >
            {phrases.allGood2}
          </button>
          <button type="button" className="btn" aria-expanded={open} onClick={() => setOpen(!open)}>
            {phrases.oneByOne}
          </button>
        </div>
      </div>
      {open && (
        <ul>
          {kind.checks.map((check) => (
            <li key={check.id} className="flex items-center gap-3 border-b border-rule py-1">
              <span className="flex-1">{check.text}</span>
              {(['good', 'failed'] as const).map((result) => (
                <label key={result} className="flex min-h-8 items-center gap-1">
                  <input
                    type="checkbox"
                    className="size-5 accent-ink"
                    checked={results[check.id] === result}
                    onChange={() => set(check.id, result)}
                    aria-label={`${check.text}: ${result}`}
                  />
                  {result}
                </label>
              ))}
            </li>
          ))}
        </ul>
      )}
      {failed > 0 && (
        <p className="mt-1 border-l-4 border-lost pl-2">{phrases.failedMendItNowOrWalk(failed)}</p>
      )}
    </section>
  );
}
