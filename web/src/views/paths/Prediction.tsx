import * as Comlink from 'comlink';
import { useQuery } from '@tanstack/react-query';
import type { Product, Rig } from '@urvek/contract';
import { kindOf, pathPoint, type Path, type PathPrediction, type PlanPoint } from '@urvek/core';
import { predictionLane, travelledGround } from '@urvek/draw';
import { pathLinkOf, type SetupPath } from '@urvek/study';
import { useMemo, useState, type ReactNode } from 'react';
import { Choice } from '../../components/Field.tsx';
import { Tape } from '../../components/Tape.tsx';
import type { PredictWorker } from '../../workers/predict.worker.ts';
import { Expected } from './Expected.tsx';
import { Readout } from './Readout.tsx';
import { WhatIf } from './WhatIf.tsx';
import type { Predicted } from './predictionParts.tsx';

let worker: Comlink.Remote<PredictWorker> | undefined;
const predictor = (): Comlink.Remote<PredictWorker> =>
  (worker ??= Comlink.wrap<PredictWorker>(
    new Worker(new URL('../../workers/predict.worker.ts', import.meta.url), { type: 'module' }),
  ));

const rigName = (product: Product, rig: Rig): string =>
  product.rigs.length > 1 ? `${product.name}, ${rig.name}` : product.name;

/**
 * The path on the tape with what the physics expects of every rig there, as it is edited. `children` is the
 * plan above it: both show the place that is pointed at.
 */
export function Prediction({
  path,
  products,
  inHandM,
  onPress,
  children,
}: {
  path: SetupPath;
  products: readonly Product[];
  /** Where the part in hand stands; it is shown while nothing else is pointed at. */
  inHandM: number | undefined;
  onPress: (atM: number) => void;
  children: (here: PlanPoint | undefined, onHere: (atM: number | undefined) => void) => ReactNode;
}) {
  const [hereM, setHereM] = useState<number>();
  const kinds = [...new Set(products.map((p) => p.kindId))];
  const [wanted, setKind] = useState<string>();
  const kindId = kinds.find((k) => k === wanted) ?? kinds[0];
  const shown = products.filter((p) => p.kindId === kindId);
  const linked = shown.flatMap((product) =>
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
  const without = shown.filter((p) => p.sensitivityDbm === undefined);
  const ground = useMemo(() => travelledGround(path as Path), [path]);
  const shownM = hereM ?? inHandM;
  const onPath = shownM === undefined ? undefined : Math.min(shownM, ground.lengthM);
  const place = onPath === undefined ? undefined : pathPoint(path, onPath);
  return (
    <>
      {children(place && [place[0], place[1]], setHereM)}
      {kinds.length > 1 && (
        <Choice
          inline
          className="w-80"
          label="Predicted for"
          value={kindId}
          onChange={(e) => setKind(e.target.value)}
        >
          {kinds.map((k) => (
            <option key={k} value={k}>
              {kindOf(k).name}
            </option>
          ))}
        </Choice>
      )}
      <Tape
        title={`The path ${path.name} on the tape`}
        ground={ground}
        measure="travelled"
        hereM={onPath}
        onHover={setHereM}
        onPress={onPress}
        lanes={predicted.map(({ id, name, prediction }) => predictionLane(id, name, prediction))}
      />
      <Readout path={path} atM={onPath} predicted={predicted} />
      {predicted.length > 0 && <Expected predicted={predicted} model={path.model} />}
      {predicted.length > 0 && <WhatIf predicted={predicted} model={path.model} />}
      {without.length > 0 && (
        <p className="text-[0.87rem] text-faint">
          Not predicted: {without.map((p) => p.name).join(', ')}. Enter in Kit the weakest level it receives.
        </p>
      )}
    </>
  );
}
