import type { CheckpointMatrix, RangeView } from '@urvek/study';
import { useState } from 'react';
import { useComparisons } from '../../api/queries.ts';
import { Choice } from '../../components/Field.tsx';
import { useComparisonId } from '../../components/WithWorkspace.tsx';
import { Length } from '../../components/Length.tsx';
import { MatrixEarlier } from './MatrixEarlier.tsx';
import { MatrixRows } from './MatrixRows.tsx';
import * as phrases from './phrases.ts';

/** Stop and call: who was heard where, each way; links that work one way only are named. */
export function Matrix({ matrix, range }: { matrix: CheckpointMatrix; range: RangeView }) {
  const id = useComparisonId();
  const { data: comparisons } = useComparisons();
  const [other, setOther] = useState('');
  const others = comparisons?.filter((c) => c.id !== id) ?? [];
  return (
    <div data-matrix className="mt-3">
      <div className="flex flex-wrap items-end gap-4">
        <h3 className="flex-1">{phrases.standsEachWay}</h3>
        {others.length > 0 && (
          <Choice
            className="w-64"
            label={phrases.theSamePointsInAnEarlier}
            value={other}
            onChange={(e) => setOther(e.target.value)}
          >
            <option value="">{phrases.none}</option>
            {others.map((c) => (
              <option key={c.id} value={c.id}>
                {c.title}
              </option>
            ))}
          </Choice>
        )}
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={phrases.gradesAtStands}>
        <table className="table">
          <thead>
            <tr>
              <th>{phrases.product}</th>
              <th>{phrases.direction}</th>
              {matrix.checkpoints.map((c) => (
                <th key={c.name}>
                  {c.name}
                  <span className="block font-normal">
                    {c.atM === undefined ? phrases.placeUnknown : <Length m={c.atM} />}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <MatrixRows cells={matrix.cells} places={matrix.checkpoints} />
          </tbody>
          {other !== '' && <MatrixEarlier id={other} places={matrix.checkpoints} kindId={range.kindId} />}
        </table>
      </div>
    </div>
  );
}
