import { estimateText, toldApart } from '@urvek/draw';
import type { RangeView } from '@urvek/study';
import { useUnit } from '../../state/unit.ts';
import { RatioLine } from './RatioLine.tsx';
import * as phrases from './phrases.ts';

const factor = (sigma: number): string => Math.exp(sigma).toFixed(2);

/** Several units of a product: each by itself, and a warning where they differ. */
export function Units({ summary: { units, unitPairs, unitSpreads } }: Pick<RangeView, 'summary'>) {
  const [unit] = useUnit();
  if (units.length === 0) return null;
  const differ = unitPairs.filter(toldApart);
  return (
    <div className="mt-3" data-units>
      <h3>{phrases.unitsEachByItself}</h3>
      <table className="table">
        <thead>
          <tr>
            <th>{phrases.product}</th>
            <th>{phrases.unit}</th>
            <th>n</th>
            <th>{phrases.median95PercentInterval2}</th>
          </tr>
        </thead>
        <tbody>
          {units.map((u) => (
            <tr key={`${u.product}-${u.unit}-${u.cell.path}`}>
              <th scope="row" className="row-head">
                {u.product}
              </th>
              <td>{u.unit || phrases.notStated}</td>
              <td className="figure">{u.cell.walks}</td>
              <td className="figure">{estimateText(u.cell, unit)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-1 grid gap-1">
        {unitSpreads.map(({ product, units: n, between, within }) => (
          <li key={product}>
            {phrases.unitsDifferByAFactorOf(product, n)}
            <span className="figure">{factor(between)}</span>
            {phrases.oneStandardDeviationWalksOfOne}
            <span className="figure">{factor(within)}</span>.
          </li>
        ))}
        {unitPairs.map((pair) => (
          <li key={`${pair.numerator}/${pair.denominator}`}>
            <RatioLine ratio={pair} />
          </li>
        ))}
      </ul>
      {differ.length > 0 && (
        <p role="status" className="mt-1 border-l-4 border-lost pl-2">
          {phrases.unitsOfOneProductDifferWhat(
            differ.map((r) => phrases.and(r.numerator, r.denominator)).join('; '),
          )}
        </p>
      )}
    </div>
  );
}
