import type { Shown } from './cellDetailParts.ts';
import { Matrix } from './Matrix.tsx';
import { Rungs } from './Rungs.tsx';

/** What was heard and answered at each stand. */
export const CellStands = ({ range, curves }: Shown) => (
  <>
    {curves && curves.rungs.length > 0 && <Rungs rungs={curves.rungs} />}
    {curves && curves.matrix.cells.length > 0 && <Matrix matrix={curves.matrix} range={range} />}
  </>
);
