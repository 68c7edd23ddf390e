import type { RangeView } from '@urvek/study';
import { useState } from 'react';
import { Link } from 'react-router';

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
        {outings.length === 1 ? 'One outing' : `${outings.length} outings`}: which walks share a day and a
        set-up
      </summary>
      {open && (
        <div className="overflow-x-auto">
          <table className="table mt-1">
            <thead>
              <tr>
                <th>Outing</th>
                {range.subjects.map((s) => (
                  <th key={s.id}>{s.name}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {outings.map((outing) => (
                <tr key={outing ?? ''}>
                  <th scope="row" className="row-head">
                    {outing ?? 'not stated'}
                  </th>
                  {range.subjects.map((s) => (
                    <td key={s.id}>
                      {finished
                        .filter((w) => w.outing === outing && w.product === s.name)
                        .map((w, i) => (
                          <span key={w.walkId}>
                            {i > 0 && ', '}
                            <Link className="underline" to={`/c/${id}/trace/${w.walkId}`}>
                              walk {w.label}
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
      <p className="text-[0.87rem] text-faint">
        A walk is put to another outing in its Trace; those of which nobody says stand one by one.
      </p>
    </details>
  );
}
