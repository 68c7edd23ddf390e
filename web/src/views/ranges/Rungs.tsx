import { estimateText } from '@urvek/draw';
import type { RungRange } from '@urvek/study';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

/** A fallback ladder: how far voice, tone and data reach, each way. */
export function Rungs({ rungs }: { rungs: readonly RungRange[] }) {
  const [unit] = useUnit();
  return (
    <div className="mt-3" data-rungs>
      <h3>{phrases.aRangeARung}</h3>
      <table className="table">
        <thead>
          <tr>
            <th>{phrases.rung}</th>
            <th>{phrases.direction}</th>
            <th>{phrases.product}</th>
            <th>{phrases.worksTo}</th>
          </tr>
        </thead>
        <tbody>
          {rungs.flatMap(({ rung, direction, summary }) =>
            summary.fitted
              .filter((c) => c.walks > 0)
              .map((c) => (
                <tr key={`${rung}-${direction}-${c.product}`}>
                  <td>{rung}</td>
                  <td>{direction}</td>
                  <th scope="row" className="row-head">
                    {c.product}
                  </th>
                  <td className="figure">{estimateText(c, unit)}</td>
                </tr>
              )),
          )}
        </tbody>
      </table>
    </div>
  );
}
