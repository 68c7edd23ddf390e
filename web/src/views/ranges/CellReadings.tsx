import { pathLengthM } from '@urvek/core';
import { rangeTitle } from '@urvek/study';
import type { Shown } from './cellDetailParts.ts';
import { FigureCurves } from './FigureCurves.tsx';

/** What instruments read along the path. */
export const CellReadings = ({ workspace, range, curves }: Shown) =>
  curves && (
    <FigureCurves
      curves={curves}
      range={range}
      lengthM={pathLengthM(range.path)}
      name={`${rangeTitle(workspace.comparison.setup, range)}, ${range.criterion}`}
    />
  );
