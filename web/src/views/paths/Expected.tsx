import { EVENT_MARGIN_DB, formatLength, SHADOWING_SD_DB } from '@urvek/core';
import { endsText } from '@urvek/draw';
import { Length } from '../../components/Length.tsx';
import { useUnit } from '../../state/unit.ts';
import type { Predicted } from './predictionParts.tsx';
import * as phrases from './phrases.ts';

export function Expected({ predicted, model }: { predicted: readonly Predicted[]; model: string }) {
  const [unit] = useUnit();
  const show = (m: number): string => formatLength(m, unit);
  const warnings = [...new Set(predicted.flatMap((p) => p.prediction.warnings))];
  return (
    <div className="mt-2" data-prediction>
      <table className="table">
        <thead>
          <tr>
            <th>{phrases.predictedInSeparation}</th>
            {predicted[0]?.prediction.events.map((e) => (
              <th key={e.criterion}>{e.criterion}</th>
            ))}
            <th>{phrases.breaksFirst}</th>
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
                  {e.lowM === undefined ? phrases.notOnThisPath : endsText(e.lowM, e.highM, show)}
                </td>
              ))}
              <td>
                {prediction.breaks ? (
                  <>
                    {prediction.breaks.because}{' '}
                    <span className="text-faint">
                      (<Length m={prediction.breaks.travelledM} />
                      {phrases.alongThePath}
                    </span>
                  </>
                ) : (
                  phrases.shouldHoldToTheEnd
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[0.87rem] text-faint">
        {phrases.modelShadowingOfDb8Of(
          model,
          SHADOWING_SD_DB,
          Object.entries(EVENT_MARGIN_DB)
            .map(([c, db]) => phrases.db2(db, c))
            .join(', '),
        )}
        {warnings.map((w) => phrases.note(w))}
      </p>
    </div>
  );
}
