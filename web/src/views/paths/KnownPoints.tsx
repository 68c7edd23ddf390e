import type { Setup } from '@urvek/contract';
import type { UseFormReturn } from 'react-hook-form';
import { ByCoordinate } from './ByCoordinate.tsx';
import { FromEarlier } from './FromEarlier.tsx';
import type { Points } from './knownPointsParts.ts';
import * as phrases from './phrases.ts';

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
      <summary className="cursor-pointer text-faint">{phrases.byCoordinateOrFromAnEarlier}</summary>
      {path.fixedEnd ? (
        <ByCoordinate path={path} onPoints={onPoints} />
      ) : (
        <p className="text-faint">{phrases.aPathThatWasImportedFrom}</p>
      )}
      <FromEarlier taken={path.checkpoints} onPoints={onPoints} />
    </details>
  );
}
