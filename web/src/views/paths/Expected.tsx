import { EVENT_MARGIN_DB, formatLength, SHADOWING_SD_DB } from '@urvek/core';
import { endsText } from '@urvek/draw';
import { Length } from '../../components/Length.tsx';
import { useUnit } from '../../state/unit.ts';
import type { Predicted } from './predictionParts.tsx';

export function Expected({ predicted, model }: { predicted: readonly Predicted[]; model: string }) {
  const [unit] = useUnit();
  const show = (m: number): string => formatLength(m, unit);
  const warnings = [...new Set(predicted.flatMap((p) => p.prediction.warnings))];
  return (
    <div className="mt-2" data-prediction>
      <table className="table">
        <thead>
          <tr>
            <th>Predicted, in separation</th>
            {predicted[0]?.prediction.events.map((e) => (
              <th key={e.criterion}>{e.criterion}</th>
            ))}
            <th>Breaks first</th>
          </tr>
        </thead>
        <tbody>
          {predicted.map(({ id, name, prediction }) => (
            <tr key={id}>
              <th scope="row" className="row-head">
                {name}
              </th>
              {prediction.events.map((e) => (
                <td key={e.criterion} className="figure">
                  {e.lowM === undefined ? 'not on this path' : endsText(e.lowM, e.highM, show)}
                </td>
              ))}
              <td>
                {prediction.breaks ? (
                  <>
                    {prediction.breaks.because}{' '}
                    <span className="text-faint">
                      (<Length m={prediction.breaks.travelledM} /> along the path)
                    </span>
                  </>
                ) : (
                  'should hold to the end'
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[0.87rem] text-faint">
        Model: {model}, shadowing of {SHADOWING_SD_DB} dB (8 of 10 places lie in the band). Events at margins
        of{' '}
        {Object.entries(EVENT_MARGIN_DB)
          .map(([c, db]) => `${db} dB (${c})`)
          .join(', ')}
        : an assumption for digital links. Beside the measured, never instead.
        {warnings.map((w) => ` Note: ${w}.`)}
      </p>
    </div>
  );
}
