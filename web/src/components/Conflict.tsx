import { valueText, withChange, type Clash } from '@urvek/study';
import { useState } from 'react';
import type { SetupConflict } from './useSetupForm.ts';
import * as phrases from './phrases.ts';

/** Two people changed the set-up: what both changed stands side by side, and one is chosen of each. */
export function Conflict({ setup, clashes, resolve, onDiscard }: SetupConflict & { onDiscard: () => void }) {
  const [ours, setOurs] = useState<ReadonlySet<string>>(new Set());
  const keyOf = ({ at }: Clash): string => at.join('/');
  const choose = (clash: Clash, own: boolean): void => {
    const next = new Set(ours);
    if (own) next.add(keyOf(clash));
    else next.delete(keyOf(clash));
    setOurs(next);
  };
  const take = (): void =>
    resolve(
      clashes.reduce((s, clash) => (ours.has(keyOf(clash)) ? withChange(s, clash.at, clash.ours) : s), setup),
    );
  return (
    <section role="alertdialog" aria-label={phrases.changedElsewhereToo} data-clashes={clashes.length}>
      <p className="font-bold">{phrases.thisSetUpWasChangedElsewhere}</p>
      {clashes.length === 0 ? (
        <p>{phrases.theTwoChangesAreOfDifferent}</p>
      ) : (
        <div className="max-h-[40vh] overflow-y-auto">
          <table className="mt-1 w-full text-base" aria-label={phrases.changedByBoth}>
            <thead>
              <tr className="border-b border-ink text-left">
                <th scope="col">{phrases.changedByBoth}</th>
                <th scope="col">{phrases.before}</th>
                <th scope="col">{phrases.theirsSaved}</th>
                <th scope="col">{phrases.yours}</th>
              </tr>
            </thead>
            <tbody>
              {clashes.map((clash) => (
                <tr key={keyOf(clash)} className="border-b border-rule">
                  <th scope="row" className="text-left font-normal">
                    {clash.what}
                  </th>
                  <td className="text-faint">{valueText(clash.before)}</td>
                  {[false, true].map((own) => (
                    <td key={String(own)}>
                      <label className="flex min-h-8 items-center gap-2">
                        <input
                          type="radio"
                          name={keyOf(clash)}
                          checked={ours.has(keyOf(clash)) === own}
                          onChange={() => choose(clash, own)}
                        />
                        {valueText(own ? clash.ours : clash.theirs)}
                      </label>
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <button type="button" className="btn btn-main" onClick={take}>
          {clashes.length === 0 ? phrases.keepBothThenSave : phrases.takeTheseThenSave}
        </button>
        <button type="button" className="btn" onClick={onDiscard}>
          {phrases.takeTheirsWithoutYourChanges}
        </button>
      </div>
    </section>
  );
}
