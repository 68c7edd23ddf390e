import { type PathLink, crossingText, routePointsOf, type Path } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { useMemo } from 'react';
import { Length } from '../../components/Length.tsx';
import type { Predicted } from './predictionParts.tsx';

/** Ends at the usual height, on the usual band, where no rig says otherwise. */
const USUAL: Pick<PathLink, 'frequencyMHz' | 'heightsM'> = { frequencyMHz: 2400, heightsM: [1.5, 1.5] };

/** What lies between the two ends at the place that is pointed at. */
export function Readout({
  path,
  atM,
  predicted,
}: {
  path: SetupPath;
  atM: number | undefined;
  predicted: readonly Predicted[];
}) {
  const link = predicted[0]?.link ?? USUAL;
  const at = useMemo(() => routePointsOf(path as Path, link), [path, link]);
  if (atM === undefined)
    return (
      <p className="min-h-10 text-[0.87rem] text-faint" data-readout>
        Point at the route, on the plan or on the tape, to see what lies between the two ends there.
      </p>
    );
  const point = at(atM);
  return (
    <p className="min-h-10 text-[0.87rem]" data-readout>
      Travelled <Length m={atM} />, separation <Length m={point.separationM} />, bearing{' '}
      <span className="figure">{point.bearingDeg.toFixed(0)}°</span>;{' '}
      {point.lineOfSight ? 'line of sight' : 'no line of sight'}, clearance{' '}
      <span className="figure">{point.fresnelClearanceRatio.toFixed(2)}</span> of the first zone at{' '}
      {link.frequencyMHz} MHz. Between:{' '}
      {point.crossings.length > 0 ? point.crossings.map(crossingText).join('; ') : 'nothing that is drawn'}.
      {predicted.map(({ id, name, prediction }) => {
        const margin = prediction.points.find((p) => p.travelledM >= atM)?.marginDb;
        return margin === undefined ? null : (
          <span key={id}>
            {' '}
            {name}: <span className="figure">{margin.toFixed(1)} dB</span>.
          </span>
        );
      })}
    </p>
  );
}
