import { PLAIN_REPORT, type Comparison, type ReportSettings as Settings } from '@urvek/contract';
import { useQuery } from '@tanstack/react-query';
import { base } from '../../api/client.ts';
import { useId, useState } from 'react';
import { useSaveComparison } from '../../api/queries.ts';
import { Field, Tick } from '../../components/Field.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import * as phrases from './phrases.ts';

/** Who paid, and what stays private: in the report and in every file that leaves. */
export function ReportSettings({ comparison }: { comparison: Comparison }) {
  // Counted by the base, which has the logs; out of its reach nothing is counted, and nothing leaves.
  const { data: left = [] } = useQuery({
    queryKey: ['withheld', comparison.id, comparison.revision],
    queryFn: () => base.withheld(comparison.id),
  });
  const { title, question, revision, setup } = comparison;
  const report = setup.report ?? PLAIN_REPORT;
  const { withheld } = report;
  const { mutate, error } = useSaveComparison(comparison.id);
  const notice = useNotice();
  const [disclosure, setDisclosure] = useState(report.disclosure);
  const [words, setWords] = useState(withheld.words.join(', '));
  const id = useId();
  const save = (more: Partial<Settings>): void =>
    mutate(
      { title, question, revision, setup: { ...setup, report: { ...report, ...more } } },
      {
        onSuccess: (saved) =>
          notice({
            text: phrases.saved,
            undo: () => mutate({ title, question, setup, revision: saved.revision }),
          }),
      },
    );
  const tick = (name: 'coordinates' | 'names' | 'notes', label: string) => (
    <Tick
      label={label}
      checked={withheld[name]}
      onChange={(e) => save({ withheld: { ...withheld, [name]: e.target.checked } })}
    />
  );
  return (
    <details className="no-print sheet mb-3 p-4">
      <summary className="cursor-pointer font-bold">
        {phrases.whoPaidAndWhatStaysPrivate}
        {left.length > 0 && (
          <span className="font-normal text-faint">
            {phrases.leftOut(left.map((l) => `${l.count} ${l.what}`).join(', '))}
          </span>
        )}
      </summary>
      {error && <Trouble error={error} />}
      <div className="mt-2 grid gap-4 md:grid-cols-2">
        <div>
          <label htmlFor={id} className="block text-[0.87rem] text-faint">
            {phrases.whoPaidForThisWhoLent}
          </label>
          <textarea
            id={id}
            className="input min-h-20"
            maxLength={1000}
            value={disclosure}
            onChange={(e) => setDisclosure(e.target.value)}
            onBlur={() => {
              if (disclosure !== report.disclosure) save({ disclosure });
            }}
          />
        </div>
        <fieldset>
          <legend className="font-bold">{phrases.leftOutOfTheReportAnd}</legend>
          {tick('coordinates', phrases.coordinatesAndDeviceLocations)}
          {tick('names', phrases.namesOfPeopleAndPlacesPermissions)}
          {tick('notes', 'notes')}
          <Field
            label={phrases.callSignsAndOtherWordsWith}
            value={words}
            onChange={(e) => setWords(e.target.value)}
            onBlur={() => {
              const list = words
                .split(',')
                .map((w) => w.trim())
                .filter((w) => w.length > 1);
              if (list.join() !== withheld.words.join()) save({ withheld: { ...withheld, words: list } });
            }}
          />
          <div
            role="status"
            className="mt-2 border-l-4 border-rule pl-3 text-[0.87rem]"
            aria-label={phrases.whatIsLeftOut}
          >
            {left.length === 0 ? (
              phrases.nothingIsLeftOutAllThat
            ) : (
              <ul>
                {left.map((l) => (
                  <li key={l.what}>
                    {l.count} {l.what}
                  </li>
                ))}
              </ul>
            )}
            <p>{phrases.thePageBelowIsAsIt}</p>
          </div>
        </fieldset>
      </div>
    </details>
  );
}
