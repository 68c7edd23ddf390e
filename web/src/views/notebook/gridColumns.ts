import { createColumnHelper, columnVisibilityFeature, tableFeatures } from '@tanstack/react-table';
import { COLUMNS, type Column } from '@urvek/study';
import type { Cells } from './gridState.ts';
import * as phrases from './phrases.ts';

export const features = tableFeatures({ columnVisibilityFeature });
const helper = createColumnHelper<typeof features, Cells>();
export const columns = helper.columns(
  COLUMNS.map((c) =>
    helper.accessor((cells: Cells) => cells[c] ?? '', { id: c, header: c.replaceAll('_', ' ') }),
  ),
);

const WIDE: Partial<Record<Column, string>> = {
  words: '14rem',
  remark: '14rem',
  product: '9rem',
  path: '9rem',
  at: '8rem',
  point: '9rem',
};
const WIDTH = '6.5rem';

/** Widths of the row's number and of the columns shown, as a grid's template. */
export const templateOf = (shown: readonly Column[]): string =>
  phrases.n3rem(shown.map((c) => WIDE[c] ?? WIDTH).join(' '));
