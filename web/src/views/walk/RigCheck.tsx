import type { CheckResult, Kind } from '@urvek/core';

export type Results = Readonly<Record<string, CheckResult>>;

/** What is seen to at the zero point; what fails is kept with the walk. */
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
  const set = (id: string, result: CheckResult): void =>
    onChange({ ...results, [id]: results[id] === result ? 'not done' : result });
  const failed = kind.checks.filter((c) => results[c.id] === 'failed').length;
  return (
    <details open={!checkedBefore} className="border-t border-rule pt-2">
      <summary className="cursor-pointer font-bold">
        Rig check
        {checkedBefore && (
          <span className="font-normal text-faint"> (this rig was checked before an earlier walk)</span>
        )}
      </summary>
      <button
        type="button"
        className="btn btn-quiet"
        onClick={() => onChange(Object.fromEntries(kind.checks.map((c) => [c.id, 'good'])))}
      >
        All good
      </button>
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
      {failed > 0 && (
        <p className="mt-1 border-l-4 border-lost pl-2">
          {failed} failed: mend it now, or walk on and it is kept with the walk.
        </p>
      )}
    </details>
  );
}
