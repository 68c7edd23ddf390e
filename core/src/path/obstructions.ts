import type { PathObstruction } from '../propagation/predict.ts';
import type { Obstruction, Path } from './path.ts';
import { separationAtM } from './separation.ts';

/**
 * An obstruction of a path as the propagation models want it: placed by separation, in which they compute.
 * @throws RangeError when a figure of its kind is missing.
 */
export function modelObstruction(path: Pick<Path, 'legs'>, { label, kind, atM, toM, material, thicknessM, heightM, lossDb }: Obstruction): PathObstruction {
  const at = separationAtM(path, atM);
  const missing = (what: string): RangeError => new RangeError(`invalid obstruction ${JSON.stringify(label)}: no ${what}`);
  switch (kind) {
    case 'slab':
      if (material === undefined || thicknessM === undefined) throw missing('material or thickness');
      return { kind, atM: at, material, thicknessM };
    case 'foliage':
      if (toM === undefined) throw missing('end');
      return { kind, fromM: at, toM: separationAtM(path, toM) };
    case 'knife-edge':
      if (heightM === undefined) throw missing('height');
      return { kind, atM: at, heightM };
    case 'fixed-loss':
      if (lossDb === undefined) throw missing('loss');
      return { kind, atM: at, lossDb };
  }
}
