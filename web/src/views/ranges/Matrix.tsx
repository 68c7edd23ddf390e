import { studies, useComparisons } from '../../api/queries.ts';
import { useQuery } from '@tanstack/react-query';
import { stateOf, type Grade } from '@urvek/core';
import { type CheckpointMatrix, type MatrixCell, type RangeView } from '@urvek/study';
import { format } from 'date-fns';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { Choice } from '../../components/Field.tsx';
import { useComparisonId } from '../../components/Frame.tsx';
import { Length } from '../../components/Length.tsx';

const SHAPE = {
  clear: 'bg-clear text-white',
  degraded: 'border-2 border-degraded border-dashed',
  lost: 'border-x-2 border-lost',
} as const;

/** A grade by shape as well as colour: solid, dashed, open. */
const GradeMark = ({ grade }: { grade: Grade }) => (
  <span className={`figure inline-grid size-7 place-items-center ${SHAPE[stateOf(grade)]}`}>{grade}</span>
);

type Places = CheckpointMatrix['checkpoints'];

/** Stop and call: who was heard where, each way; links that work one way only are named. */
export function Matrix({ matrix, range }: { matrix: CheckpointMatrix; range: RangeView }) {
  const id = useComparisonId();
  const { data: comparisons } = useComparisons();
  const [other, setOther] = useState('');
  const others = comparisons?.filter((c) => c.id !== id) ?? [];
  return (
    <div data-matrix className="mt-3">
      <div className="flex flex-wrap items-end gap-4">
        <h3 className="flex-1">Stands, each way</h3>
        {others.length > 0 && (
          <Choice
            className="w-64"
            label="The same points in an earlier comparison"
            value={other}
            onChange={(e) => setOther(e.target.value)}
          >
            <option value="">none</option>
            {others.map((c) => (
              <option key={c.id} value={c.id}>
                {c.title}
              </option>
            ))}
          </Choice>
        )}
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Grades at stands">
        <table className="table">
          <thead>
            <tr>
              <th>Product</th>
              <th>Direction</th>
              {matrix.checkpoints.map((c) => (
                <th key={c.name}>
                  {c.name}
                  <span className="block font-normal">
                    {c.atM === undefined ? 'place unknown' : <Length m={c.atM} />}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <Rows cells={matrix.cells} places={matrix.checkpoints} />
          </tbody>
          {other !== '' && <Earlier id={other} places={matrix.checkpoints} kindId={range.kindId} />}
        </table>
      </div>
    </div>
  );
}

function Rows({ cells, places }: { cells: readonly MatrixCell[]; places: Places }) {
  const products = [...new Set(cells.map((c) => c.product))];
  const rows = products.flatMap((product) =>
    (['mobile-to-fixed', 'fixed-to-mobile'] as const).flatMap((direction) =>
      cells.some((c) => c.product === product && c.direction === direction) ? [{ product, direction }] : [],
    ),
  );
  const grades = (product: string, direction: string, place: string): readonly Grade[] =>
    cells.find((c) => c.product === product && c.direction === direction && c.checkpoint === place)?.grades ??
    [];
  return rows.map(({ product, direction }) => (
    <tr key={`${product}-${direction}`}>
      <th scope="row" className="row-head">
        {product}
      </th>
      <td>{direction}</td>
      {places.map((p) => (
        <td key={p.name}>
          <span className="flex gap-0.5">
            {grades(product, direction, p.name).map((g, i) => (
              <GradeMark key={i} grade={g} />
            ))}
          </span>
        </td>
      ))}
    </tr>
  ));
}

/** Only the same points are set beside each other: same name, same distance. */
function Earlier({ id, places, kindId }: { id: string; places: Places; kindId: string }) {
  const { data } = useQuery({
    queryKey: ['matrix', id, kindId],
    queryFn: async () => {
      const comparison = await base.comparison(id);
      return { title: comparison.title, ...(await studies().matrices(comparison, kindId)) };
    },
  });
  if (!data) return null;
  const same = (m: CheckpointMatrix): MatrixCell[] =>
    m.cells.filter((c) =>
      places.some((p) => p.name === c.checkpoint && Math.abs((p.atM ?? 0) - (c.atM ?? Infinity)) < 0.5),
    );
  const cells = data.matrices.flatMap(same);
  return (
    <tbody>
      <tr>
        <th colSpan={2 + places.length} scope="rowgroup" className="pt-3">
          {data.title}
          {data.when !== undefined && `, ${format(data.when, 'd MMMM yyyy')}`}
          {cells.length === 0 && <span className="font-normal text-faint">: no call at the same points</span>}
        </th>
      </tr>
      <Rows cells={cells} places={places} />
    </tbody>
  );
}
