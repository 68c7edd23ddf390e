import { pathLengthM } from '@urvek/core';
import { comesBackSentences, textsOf, wallSentences } from '@urvek/draw';
import { rangeTitle, type PathCurves } from '@urvek/study';
import { useUnit } from '../../state/unit.ts';
import { Availability } from './Availability.tsx';
import type { Shown } from './cellDetailParts.ts';
import { HitsCurves } from './HitsCurves.tsx';
import { HoldCurves } from './HoldCurves.tsx';
import { Hysteresis } from './Hysteresis.tsx';

/** How the share that holds falls with distance, and what the curves say in words. */
export function CellCurves({ workspace, range, curves }: Shown & { curves: PathCurves }) {
  const [unit] = useUnit();
  const lengthM = pathLengthM(range.path);
  const name = `${rangeTitle(workspace.comparison.setup, range)}, ${range.criterion}`;
  const told = textsOf([...wallSentences(range, unit), ...comesBackSentences(range, unit)]);
  const read = curves.hits.length > 0 || curves.throughput.curves.length > 0;
  return (
    <>
      {told.length > 0 && (
        <ul className="mb-2 list-disc pl-5" data-comes-back>
          {told.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </ul>
      )}
      <div className="grid gap-4 lg:grid-cols-2">
        <HoldCurves curves={curves.hold} lengthM={lengthM} name={name} />
        {curves.hits.length > 0 && <HitsCurves curves={curves.hits} lengthM={lengthM} name={name} />}
        {!read && curves.availability.some((a) => a.bins.length > 0) && (
          <Availability products={curves.availability} name={range.path.name} />
        )}
      </div>
      <Hysteresis workspace={workspace} range={range} />
    </>
  );
}
