import * as Comlink from 'comlink';
import { useQuery } from '@tanstack/react-query';
import type { Product, Rig } from '@urvek/contract';
import type { Path, PathPrediction } from '@urvek/core';
import { pathLinkOf, type SetupPath } from '@urvek/study';
import { useState } from 'react';
import type { PredictWorker } from '../../workers/predict.worker.ts';
import type { Predicted } from './predictionParts.tsx';

let worker: Comlink.Remote<PredictWorker> | undefined;
const predictor = (): Comlink.Remote<PredictWorker> =>
  (worker ??= Comlink.wrap<PredictWorker>(
    new Worker(new URL('../../workers/predict.worker.ts', import.meta.url), { type: 'module' }),
  ));

const rigName = (product: Product, rig: Rig): string =>
  product.rigs.length > 1 ? `${product.name}, ${rig.name}` : product.name;

export interface OfKind {
  readonly kinds: readonly string[];
  readonly kindId: string | undefined;
  readonly onKind: (kindId: string) => void;
  readonly predicted: readonly Predicted[];
  /** Products of the kind of which too little is stated. */
  readonly without: readonly Product[];
}

/** What the physics expects of every rig of one kind on a path, as it is edited. */
export function usePredicted(path: SetupPath | undefined, products: readonly Product[]): OfKind {
  const kinds = [...new Set(products.map((p) => p.kindId))];
  const [wanted, onKind] = useState<string>();
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
    enabled: path !== undefined && links.length > 0,
    placeholderData: (before: PathPrediction[] | undefined) => before,
    staleTime: Infinity,
    gcTime: 10_000,
  });
  return {
    ...{ kinds, kindId, onKind },
    predicted: linked.flatMap((l, i) => (data?.[i] ? [{ ...l, prediction: data[i] }] : [])),
    without: shown.filter((p) => p.sensitivityDbm === undefined),
  };
}
