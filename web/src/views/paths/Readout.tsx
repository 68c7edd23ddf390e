import { type PathLink, crossingText, routePointsOf, type Path } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { useMemo } from 'react';
import { Length } from '../../components/Length.tsx';
import type { Predicted } from './predictionParts.tsx';
import * as phrases from './phrases.ts';

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
        {phrases.pointAtTheRouteOnThe}
      </p>
    );
  const point = at(atM);
  return (
    <p className="min-h-10 text-[0.87rem]" data-readout>
      {phrases.travelled}
      <Length m={atM} />
      {phrases.separation}
      <Length m={point.separationM} />
      {phrases.bearing2}
      <span className="figure">{point.bearingDeg.toFixed(0)}°</span>
      {phrases.clearance(point.lineOfSight ? phrases.lineOfSight : phrases.noLineOfSight)}
      <span className="figure">{point.fresnelClearanceRatio.toFixed(2)}</span>
      {phrases.ofTheFirstZoneAtMhz(
        link.frequencyMHz,
        point.crossings.length > 0
          ? point.crossings.map(crossingText).join('; ')
          : phrases.nothingThatIsDrawn,
      )}
      {predicted.map(({ id, name, prediction }) => {
        const margin = prediction.points.find((p) => p.travelledM >= atM)?.marginDb;
        return margin === undefined ? null : (
          <span key={id}>
            {' '}
            {name}: <span className="figure">{phrases.db(margin.toFixed(1))}</span>.
          </span>
        );
      })}
    </p>
  );
}
