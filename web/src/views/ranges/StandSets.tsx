import { MOST_STANDS, readOf, setText } from '@urvek/draw';
import type { StandSet } from '@urvek/study';
import * as phrases from './phrases.ts';

/** Median, spread and n of every stand: a row a product and way, a column a stand, nearest first. */
export function StandSets({ sets, show }: { sets: readonly StandSet[]; show: (m: number) => string }) {
  const far = new Map<string, number>();
  for (const { stand, distanceM } of sets) far.set(stand, Math.max(distanceM, far.get(stand) ?? 0));
  const stands = [...far].sort(([, a], [, b]) => a - b);
  if (stands.length > MOST_STANDS) return <p>{phrases.readAtPlacesThePictureHas(stands.length)}</p>;
  const rows = [...new Set(sets.map((s) => `${s.product}\n${s.direction}`))];
  return (
    <details className="mt-2" open={stands.length <= 6}>
      <summary className="cursor-pointer font-bold">{phrases.standByStandMedianLeastTo}</summary>
      <div className="overflow-x-auto">
        <table className="table" data-stand-sets>
          <thead>
            <tr>
              <th>{phrases.product}</th>
              {stands.map(([stand, m]) => (
                <th key={stand}>
                  {stand}
                  {!/^\d+ m$/.test(stand) && <span className="block font-normal">{show(m)}</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => {
              const own = sets.filter((s) => `${s.product}\n${s.direction}` === row);
              const [first] = own;
              return (
                first && (
                  <tr key={row}>
                    <th scope="row" className="row-head">
                      {readOf(first)}
                    </th>
                    {stands.map(([stand]) => (
                      <td key={stand} className="figure text-[0.87rem]">
                        {own
                          .filter((s) => s.stand === stand)
                          .map(setText)
                          .join('; ')}
                      </td>
                    ))}
                  </tr>
                )
              );
            })}
          </tbody>
        </table>
      </div>
    </details>
  );
}
