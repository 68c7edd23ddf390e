import type { CheckpointMatrix, MatrixCell } from '@urvek/contract';
import { stateOf, type Grade } from '@urvek/core';
import { Length } from '../../components/Length.tsx';

const SHAPE = { clear: 'bg-clear text-white', degraded: 'border-2 border-degraded border-dashed', lost: 'border-x-2 border-lost' } as const;

/** A grade by shape as well as colour: solid, dashed, open. */
export const GradeMark = ({ grade }: { grade: Grade }) => <span className={`figure inline-grid size-7 place-items-center ${SHAPE[stateOf(grade)]}`}>{grade}</span>;

/** Stop and call: who was heard where, each way; links that work one way only are named. */
export function Matrix({ matrix }: { matrix: CheckpointMatrix }) {
  const products = [...new Set(matrix.cells.map((c) => c.product))];
  const rows = products.flatMap((product) => (['mobile-to-fixed', 'fixed-to-mobile'] as const).flatMap((direction) => (matrix.cells.some((c) => c.product === product && c.direction === direction) ? [{ product, direction }] : [])));
  const cell = (product: string, direction: string, checkpoint: string): MatrixCell | undefined => matrix.cells.find((c) => c.product === product && c.direction === direction && c.checkpoint === checkpoint);
  return (
    <div data-matrix className="mt-3">
      <h3>Checkpoints, each way</h3>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Grades called at checkpoints">
        <table className="table">
          <thead><tr><th>Product</th><th>Direction</th>{matrix.checkpoints.map((c) => <th key={c.name}>{c.name}<span className="block font-normal"><Length m={c.atM} /></span></th>)}</tr></thead>
          <tbody>{rows.map(({ product, direction }) => <tr key={`${product}-${direction}`}><th scope="row" className="row-head">{product}</th><td>{direction}</td>{matrix.checkpoints.map((c) => <td key={c.name}><span className="flex gap-0.5">{(cell(product, direction, c.name)?.grades ?? []).map((g, i) => <GradeMark key={i} grade={g} />)}</span></td>)}</tr>)}</tbody>
        </table>
      </div>
      {matrix.oneWay.map((l) => <p key={`${l.product}-${l.checkpoint}`} role="status" className="border-l-4 border-lost pl-2">{l.product} at {l.checkpoint}: one way only; the {l.deaf} is deaf there.</p>)}
    </div>
  );
}
