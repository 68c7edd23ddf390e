import type { Grade } from '@urvek/core';
import type { MatrixCell } from '@urvek/study';
import { GradeMark } from './GradeMark.tsx';
import type { Places } from './matrixParts.ts';

/** A product in the matrix of stands: a row a direction. */
export function MatrixRows({ cells, places }: { cells: readonly MatrixCell[]; places: Places }) {
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
