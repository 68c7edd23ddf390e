import { useQuery } from '@tanstack/react-query';
import type { CheckpointMatrix, MatrixCell } from '@urvek/study';
import { format } from 'date-fns';
import { base } from '../../api/client.ts';
import { studies } from '../../api/study.ts';
import type { Places } from './matrixParts.ts';
import { MatrixRows } from './MatrixRows.tsx';
import * as phrases from './phrases.ts';

/** Only the same points are set beside each other: same name, same distance. */
export function MatrixEarlier({ id, places, kindId }: { id: string; places: Places; kindId: string }) {
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
          {cells.length === 0 && (
            <span className="font-normal text-faint">{phrases.noCallAtTheSamePoints}</span>
          )}
        </th>
      </tr>
      <MatrixRows cells={cells} places={places} />
    </tbody>
  );
}
