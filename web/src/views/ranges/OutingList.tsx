import type { RangeView } from '@urvek/study';
import { useState } from 'react';
import { Link } from 'react-router';
import * as phrases from './phrases.ts';

/** Which walks were made on which outing: what they share is that day and that set-up. */
export function OutingList({ range, id }: { range: RangeView; id: string }) {
  const [open, setOpen] = useState(false);
  const finished = range.walks.filter((w) => w.finished);
  const outings = [...new Set(finished.map((w) => w.outing))].sort((a, b) =>
    (a ?? '\uffff').localeCompare(b ?? '\uffff'),
  );
  if (finished.length === 0) return null;
  return (
    <details className="mt-2" data-outings onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer">
        {phrases.whichWalksShareADayAnd(
          outings.length === 1 ? phrases.oneOuting : phrases.outings(outings.length),
        )}
      </summary>
      {open && (
        <div className="overflow-x-auto">
          <table className="table mt-1">
            <thead>
              <tr>
                <th>{phrases.outing}</th>
                {range.subjects.map((s) => (
                  <th key={s.id}>{s.name}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {outings.map((outing) => (
                <tr key={outing ?? ''}>
                  <th scope="row" className="row-head">
                    {outing ?? phrases.notStated}
                  </th>
                  {range.subjects.map((s) => (
                    <td key={s.id}>
                      {finished
                        .filter((w) => w.outing === outing && w.product === s.name)
                        .map((w, i) => (
                          <span key={w.walkId}>
                            {i > 0 && ', '}
                            <Link className="underline" to={`/c/${id}/trace/${w.walkId}`}>
                              {phrases.walk2(w.label)}
                            </Link>
                          </span>
                        ))}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="text-[0.87rem] text-faint">{phrases.aWalkIsPutToAnother}</p>
    </details>
  );
}
