import type { Setup } from '@urvek/contract';
import type { UseFormReturn } from 'react-hook-form';
import { ByCoordinate } from './ByCoordinate.tsx';
import { FromEarlier } from './FromEarlier.tsx';
import type { Points } from './knownPointsParts.ts';

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
