import { formatLength, RETURN_CRITERIA, type Criterion } from '@urvek/core';
import { estimateText } from '@urvek/draw';
import type { RangeView } from '@urvek/study';
import { useStudy } from '../../api/study.ts';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

const SHOWN: readonly Criterion[] = ['lost', ...RETURN_CRITERIA];

/** Where it came back, beside where it was lost. */
export function Hysteresis({ workspace, range }: { workspace: Ready; range: RangeView }) {
  const [unit] = useUnit();
  const { data } = useStudy(workspace, ['hysteresis', range.id, range.side], (study, of) =>
    study.summaries(of, range.id, SHOWN, range.side),
  );
  const summaries = SHOWN.flatMap((criterion, i) => {
    const summary = data?.[i];
    return summary ? [{ criterion, summary }] : [];
  });
  const products = [...new Set(range.walks.map((w) => w.product))];
  const resets = range.walks.flatMap((w) =>
    w.reconnections
      .filter((r) => r.how !== 'by itself')
      .map((r) => ({ ...r, product: w.product, label: w.label })),
  );
  if (summaries.slice(1).every((s) => s.summary.n === 0)) return null;
  return (
    <div className="mt-3" data-hysteresis>
      <h3>{phrases.lostGoingOutBackComingHome}</h3>
      <table className="table">
        <thead>
          <tr>
            <th>{phrases.product}</th>
            {SHOWN.map((c) => (
              <th key={c}>{c}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {products.map((product) => (
            <tr key={product}>
              <th scope="row" className="row-head">
                {product}
              </th>
              {summaries.map(({ criterion, summary }) => {
                const cell = summary.fitted.find((c) => c.product === product);
                return (
                  <td key={criterion}>
                    {cell && cell.walks > 0 ? (
                      estimateText(cell, unit)
                    ) : (
                      <span className="text-faint">{phrases.notSeen}</span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {resets.length > 0 && (
        <p className="text-[0.87rem]">
          {phrases.resets(
            resets
              .map((r) =>
                phrases.walk(
                  r.product,
                  r.label,
                  r.how,
                  r.afterS === undefined ? '' : phrases.sAfterTheLoss(r.afterS.toFixed(0)),
                  r.position ? phrases.at(formatLength(r.position.travelledM, unit)) : '',
                ),
              )
              .join('; '),
          )}
        </p>
      )}
    </div>
  );
}
