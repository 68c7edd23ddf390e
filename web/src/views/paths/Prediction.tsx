import { pathLinkOf, type Product, type SetupPath } from '@urvek/contract';
import { EVENT_MARGIN_DB, formatLength, SHADOWING_SD_DB, type PathPrediction } from '@urvek/core';
import { endsText, predictionLane, travelledGround } from '@urvek/draw';
import { useQuery } from '@tanstack/react-query';
import * as Comlink from 'comlink';
import { Length } from '../../components/Length.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useUnit } from '../../state/unit.ts';
import type { PredictWorker } from '../../workers/predict.worker.ts';

let worker: Comlink.Remote<PredictWorker> | undefined;
const predictor = (): Comlink.Remote<PredictWorker> =>
  (worker ??= Comlink.wrap<PredictWorker>(new Worker(new URL('../../workers/predict.worker.ts', import.meta.url), { type: 'module' })));

/** The path on the tape with what the physics expects of every product there, as it is edited. */
export function Prediction({ path, products }: { path: SetupPath; products: readonly Product[] }) {
  const linked = products.flatMap((product) => {
    const rig = product.rigs[0];
    const link = rig && pathLinkOf(product, rig);
    return link ? [{ product, link }] : [];
  });
  const links = linked.map((l) => l.link);
  const { data } = useQuery({ queryKey: ['prediction', path, links], queryFn: () => predictor().predict(path, links), enabled: links.length > 0, placeholderData: (before: PathPrediction[] | undefined) => before, staleTime: Infinity, gcTime: 10_000 });
  const predictions = linked.flatMap(({ product }, i) => (data?.[i] ? [{ product, prediction: data[i] }] : []));
  const without = products.filter((p) => p.sensitivityDbm === undefined);
  return (
    <>
      <Tape title={`The path ${path.name} on the tape`} ground={travelledGround(path)} measure="travelled" lanes={predictions.map(({ product, prediction }) => predictionLane(product.id, product.name, prediction))} />
      {predictions.length > 0 && <Expected predictions={predictions} model={path.model} />}
      {without.length > 0 && <p className="text-[0.85rem] text-faint">Not predicted: {without.map((p) => p.name).join(', ')}. Enter in Kit what level the receiver needs.</p>}
    </>
  );
}

function Expected({ predictions, model }: { predictions: readonly { product: Product; prediction: PathPrediction }[]; model: string }) {
  const [unit] = useUnit();
  const show = (m: number): string => formatLength(m, unit);
  const [first] = predictions;
  return (
    <div className="mt-2" data-prediction>
      <table className="table">
        <thead><tr><th>Predicted, in separation</th>{first?.prediction.events.map((e) => <th key={e.criterion}>{e.criterion}</th>)}<th>Breaks first</th></tr></thead>
        <tbody>
          {predictions.map(({ product, prediction }) => (
            <tr key={product.id}>
              <th scope="row" className="row-head">{product.name}</th>
              {prediction.events.map((e) => <td key={e.criterion} className="figure">{e.lowM === undefined ? 'not on this path' : endsText(e.lowM, e.highM, show)}</td>)}
              <td>{prediction.breaks ? <>{prediction.breaks.because} <span className="text-faint">(<Length m={prediction.breaks.travelledM} /> along the path)</span></> : 'should hold to the end'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[0.85rem] text-faint">Model: {model}, first rig of each, shadowing of {SHADOWING_SD_DB} dB (8 of 10 places lie in the band). Events at margins of {Object.entries(EVENT_MARGIN_DB).map(([c, db]) => `${db} dB (${c})`).join(', ')}: an assumption for digital links. Beside the measured, never instead.{predictions.flatMap((p) => p.prediction.warnings).filter((w, i, all) => all.indexOf(w) === i).map((w) => ` Note: ${w}.`)}</p>
    </div>
  );
}
