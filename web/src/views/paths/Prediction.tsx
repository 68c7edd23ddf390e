import * as Comlink from 'comlink';
import { useQuery } from '@tanstack/react-query';
import type { Product, Rig } from '@urvek/contract';
import {
  crossingText,
  EVENT_MARGIN_DB,
  formatLength,
  pathPoint,
  routePointsOf,
  SHADOWING_SD_DB,
  type Path,
  type PathLink,
  type PathPrediction,
  type PlanPoint,
} from '@urvek/core';
import { endsText, predictionLane, travelledGround } from '@urvek/draw';
import { pathLinkOf, type SetupPath } from '@urvek/study';
import { useMemo, useState, type ReactNode } from 'react';
import { Length } from '../../components/Length.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useUnit } from '../../state/unit.ts';
import type { PredictWorker } from '../../workers/predict.worker.ts';
import { WhatIf } from './WhatIf.tsx';

let worker: Comlink.Remote<PredictWorker> | undefined;
const predictor = (): Comlink.Remote<PredictWorker> =>
  (worker ??= Comlink.wrap<PredictWorker>(
    new Worker(new URL('../../workers/predict.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** One rig on the path with what the physics expects of it. */
export interface Predicted {
  readonly id: string;
  readonly name: string;
  readonly link: PathLink;
  readonly prediction: PathPrediction;
}

const rigName = (product: Product, rig: Rig): string =>
  product.rigs.length > 1 ? `${product.name}, ${rig.name}` : product.name;

/**
 * The path on the tape with what the physics expects of every rig there, as it is edited. `children` is the plan above
 * it: both show the place that is pointed at.
 */
export function Prediction({
  path,
  products,
  children,
}: {
  path: SetupPath;
  products: readonly Product[];
  children: (here: PlanPoint | undefined, onHere: (atM: number | undefined) => void) => ReactNode;
}) {
  const [hereM, setHereM] = useState<number>();
  const linked = products.flatMap((product) =>
    product.rigs.flatMap((rig) => {
      const link = pathLinkOf(product, rig);
      return link ? [{ id: rig.id, name: rigName(product, rig), link }] : [];
    }),
  );
  const links = linked.map((l) => l.link);
  const { data } = useQuery({
    queryKey: ['prediction', path, links],
    queryFn: () => predictor().predict(path as Path, links),
    enabled: links.length > 0,
    placeholderData: (before: PathPrediction[] | undefined) => before,
    staleTime: Infinity,
    gcTime: 10_000,
  });
  const predicted = linked.flatMap((l, i): Predicted[] => (data?.[i] ? [{ ...l, prediction: data[i] }] : []));
  const without = products.filter((p) => p.sensitivityDbm === undefined);
  const ground = useMemo(() => travelledGround(path as Path), [path]);
  const onPath = hereM === undefined ? undefined : Math.min(hereM, ground.lengthM);
  const place = onPath === undefined ? undefined : pathPoint(path, onPath);
  return (
    <>
      {children(place && [place[0], place[1]], setHereM)}
      <Tape
        title={`The path ${path.name} on the tape`}
        ground={ground}
        measure="travelled"
        hereM={onPath}
        onHover={setHereM}
        lanes={predicted.map(({ id, name, prediction }) => predictionLane(id, name, prediction))}
      />
      <Readout path={path} atM={onPath} predicted={predicted} />
      {predicted.length > 0 && <Expected predicted={predicted} model={path.model} />}
      {predicted.length > 0 && <WhatIf predicted={predicted} model={path.model} />}
      {without.length > 0 && (
        <p className="text-[0.85rem] text-faint">
          Not predicted: {without.map((p) => p.name).join(', ')}. Enter in Kit what level the receiver needs.
        </p>
      )}
    </>
  );
}

/** Ends at the usual height, on the usual band, where no rig says otherwise. */
const USUAL: Pick<PathLink, 'frequencyMHz' | 'heightsM'> = { frequencyMHz: 2400, heightsM: [1.5, 1.5] };

/** What lies between the two ends at the place that is pointed at. */
function Readout({
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
      <p className="min-h-10 text-[0.85rem] text-faint" data-readout>
        Point at the route, on the plan or on the tape, to see what lies between the two ends there.
      </p>
    );
  const point = at(atM);
  return (
    <p className="min-h-10 text-[0.85rem]" data-readout>
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

function Expected({ predicted, model }: { predicted: readonly Predicted[]; model: string }) {
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
      <p className="mt-1 text-[0.85rem] text-faint">
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
