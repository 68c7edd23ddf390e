import { ratioBasis, ratioInDb, type RatioFinding } from '@urvek/core';
import { apartText, endsText } from '@urvek/draw';
import * as phrases from './phrases.ts';

const percentOf = (ratio: number): string =>
  `${ratio >= 1 ? '+' : '−'}${Math.abs(100 * (ratio - 1)).toFixed(0)} %`;
const dbOf = (ratio: number, exponent: number): string =>
  phrases.db(ratioInDb(ratio, exponent) >= 0 ? '+' : '−', Math.abs(ratioInDb(ratio, exponent)).toFixed(1));

export function RatioLine({ ratio, exponent }: { ratio: RatioFinding; exponent?: number }) {
  const { numerator, denominator, estimate, withScale95, reason, holmP } = ratio;
  const n = ratioBasis(ratio);
  const range = withScale95 && endsText(withScale95.low, withScale95.high, (v) => v.toFixed(2));
  if (!estimate)
    return (
      <>
        {phrases.againstNoRatio(numerator, denominator)}
        {reason}
        {range === undefined ? '' : `; 95 %: ${range}`}; {n}).
      </>
    );
  return (
    <span data-ratio={estimate.ratio}>
      <strong>{numerator}</strong>
      {phrases.reaches}
      <strong className="figure">{estimate.ratio.toFixed(2)}×</strong>
      {phrases.asFarAs}
      <strong>{denominator}</strong>, <span className="figure">{percentOf(estimate.ratio)}</span>
      {exponent !== undefined && (
        <>
          {phrases.or}
          <span className="figure">{dbOf(estimate.ratio, exponent)}</span>
          {phrases.atExponent(exponent)}
        </>
      )}
      {range !== undefined && (
        <>
          {' '}
          (95 %: <span className="figure">{range}</span>; {n}
          {holmP !== undefined && (
            <>
              ; p = <span className="figure">{holmP < 0.001 ? '< 0.001' : holmP.toFixed(3)}</span>
              {phrases.correctedForTheNumberOfPairs}
            </>
          )}
          )
        </>
      )}
      ; {apartText(ratio)}.
    </span>
  );
}
