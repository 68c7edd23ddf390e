import { ratioBasis, ratioInDb, type RatioFinding } from '@urvek/core';
import { apartText, endsText } from '@urvek/draw';

const percentOf = (ratio: number): string =>
  `${ratio >= 1 ? '+' : '−'}${Math.abs(100 * (ratio - 1)).toFixed(0)} %`;
const dbOf = (ratio: number, exponent: number): string =>
  `${ratioInDb(ratio, exponent) >= 0 ? '+' : '−'}${Math.abs(ratioInDb(ratio, exponent)).toFixed(1)} dB`;

export function RatioLine({ ratio, exponent }: { ratio: RatioFinding; exponent?: number }) {
  const { numerator, denominator, estimate, withScale95, reason, holmP } = ratio;
  const n = ratioBasis(ratio);
  const range = withScale95 && endsText(withScale95.low, withScale95.high, (v) => v.toFixed(2));
  if (!estimate)
    return (
      <>
        {numerator} against {denominator}: no ratio ({reason}
        {range === undefined ? '' : `; 95 %: ${range}`}; {n}).
      </>
    );
  return (
    <span data-ratio={estimate.ratio}>
      <strong>{numerator}</strong> reaches <strong className="figure">{estimate.ratio.toFixed(2)}×</strong> as
      far as <strong>{denominator}</strong>, <span className="figure">{percentOf(estimate.ratio)}</span>
      {exponent !== undefined && (
        <>
          {' '}
          or <span className="figure">{dbOf(estimate.ratio, exponent)}</span> at exponent {exponent}
        </>
      )}
      {range !== undefined && (
        <>
          {' '}
          (95 %: <span className="figure">{range}</span>; {n}
          {holmP !== undefined && (
            <>
              ; p = <span className="figure">{holmP < 0.001 ? '< 0.001' : holmP.toFixed(3)}</span>, corrected
              for the number of pairs (Holm)
            </>
          )}
          )
        </>
      )}
      ; {apartText(ratio)}.
    </span>
  );
}
