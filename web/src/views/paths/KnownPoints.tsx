import { useQuery } from '@tanstack/react-query';
import type { Setup } from '@urvek/contract';
import { coordinatesOf, parseCoordinate, placeOnRoute } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { base } from '../../api/client.ts';
import { useComparisons } from '../../api/queries.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { useComparisonId } from '../../components/Frame.tsx';

type Points = SetupPath['checkpoints'];

/**
 * Checkpoints by coordinate, and known points of an earlier comparison, so that a rerun uses the same ones.
 */
export function KnownPoints({
  form,
  index,
  onPoints,
}: {
  form: UseFormReturn<Setup>;
  index: number;
  onPoints: (points: Points) => void;
}) {
  const path = form.watch(`paths.${index}`);
  return (
    <details className="text-[0.87rem]">
      <summary className="cursor-pointer text-faint">By coordinate, or from an earlier comparison</summary>
      {path.fixedEnd ? (
        <ByCoordinate path={path} onPoints={onPoints} />
      ) : (
        <p className="text-faint">
          A path that was imported from coordinates takes checkpoints by coordinate.
        </p>
      )}
      <FromEarlier taken={path.checkpoints} onPoints={onPoints} />
    </details>
  );
}

function ByCoordinate({ path, onPoints }: { path: SetupPath; onPoints: (points: Points) => void }) {
  const [name, setName] = useState('');
  const [text, setText] = useState('');
  const [said, setSaid] = useState('');
  const add = (): void => {
    const place = parseCoordinate(text);
    if (!place || !path.fixedEnd) {
      setSaid('Write latitude and longitude in degrees, as in "52.9712, -4.0231".');
      return;
    }
    const { travelledM, offM } = placeOnRoute(coordinatesOf(path, path.fixedEnd), place);
    const atM = Math.round(travelledM * 10) / 10;
    onPoints([{ name: name.trim() || `point ${path.checkpoints.length + 1}`, atM }]);
    setSaid(`At ${atM} m, ${offM.toFixed(1)} m off the route.`);
    setText('');
    setName('');
  };
  return (
    <div className="mt-1 grid grid-cols-[1fr_1.6fr_auto] items-end gap-2">
      <Field label="Name" value={name} onChange={(e) => setName(e.target.value)} />
      <Field label="Latitude, longitude" suffix="°" value={text} onChange={(e) => setText(e.target.value)} />
      <button type="button" className="btn" onClick={add}>
        Add it
      </button>
      <p role="status" className="col-span-3">
        {said}
      </p>
    </div>
  );
}

function FromEarlier({ taken, onPoints }: { taken: Points; onPoints: (points: Points) => void }) {
  const id = useComparisonId();
  const { data: comparisons } = useComparisons();
  const [chosen, setChosen] = useState('');
  const { data: earlier } = useQuery({
    queryKey: ['comparison', chosen],
    queryFn: () => base.comparison(chosen),
    enabled: chosen !== '',
  });
  const others = comparisons?.filter((c) => c.id !== id) ?? [];
  if (others.length === 0)
    return <p className="mt-1 text-faint">There is no other comparison to take points from.</p>;
  return (
    <div className="mt-1 flex flex-wrap items-end gap-2">
      <Choice
        label="Known points of"
        value={chosen}
        onChange={(e) => setChosen(e.target.value)}
        className="w-56"
      >
        <option value="">choose a comparison</option>
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
          {p.name}: {p.checkpoints.length} points
        </button>
      ))}
    </div>
  );
}
