import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { useComparisons } from '../../api/queries.ts';
import { Choice } from '../../components/Field.tsx';
import { useComparisonId } from '../../components/WithWorkspace.tsx';
import type { Points } from './knownPointsParts.ts';
import * as phrases from './phrases.ts';

/** Checkpoints of a path of an earlier comparison. */
export function FromEarlier({ taken, onPoints }: { taken: Points; onPoints: (points: Points) => void }) {
  const id = useComparisonId();
  const { data: comparisons } = useComparisons();
  const [chosen, setChosen] = useState('');
  const { data: earlier } = useQuery({
    queryKey: ['comparison', chosen],
    queryFn: () => base.comparison(chosen),
    enabled: chosen !== '',
  });
  const others = comparisons?.filter((c) => c.id !== id) ?? [];
  if (others.length === 0) return <p className="mt-1 text-faint">{phrases.thereIsNoOtherComparisonTo}</p>;
  return (
    <div className="mt-1 flex flex-wrap items-end gap-2">
      <Choice
        label={phrases.knownPointsOf}
        value={chosen}
        onChange={(e) => setChosen(e.target.value)}
        className="w-56"
      >
        <option value="">{phrases.chooseAComparison}</option>
        {others.map((c) => (
          <option key={c.id} value={c.id}>
            {c.title}
          </option>
        ))}
      </Choice>
      {earlier?.setup.paths.map((p) => (
        <button
          key={p.id}
          type="button"
          className="btn"
          disabled={p.checkpoints.length === 0}
          onClick={() =>
            onPoints(p.checkpoints.filter((c) => !taken.some((t) => t.name === c.name && t.atM === c.atM)))
          }
        >
          {phrases.points(p.name, p.checkpoints.length)}
        </button>
      ))}
    </div>
  );
}
