import { describe, expect, test } from '@jest/globals';
import { fromClipboard, toClipboard } from '@urvek/core';
import { COLUMNS, readNotebook, writeNotebook, type Column } from '@urvek/study';
import fc from 'fast-check';
import * as grid from './gridState.ts';
import type { Cells } from './gridState.ts';

const SHOWN: readonly Column[] = ['product', 'at', 'grade', 'remark'];
const text = fc
  .string({ unit: 'grapheme', maxLength: 12 })
  .map((t) => t.replaceAll(/[\0\r\uFFFD]/g, '').trim());
const cells = fc
  .dictionary(fc.constantFrom(...COLUMNS), text)
  .map((d) => Object.fromEntries(Object.entries(d).filter(([, v]) => v !== '')) as Cells);
const place = fc.record({ row: fc.nat(8), column: fc.nat(SHOWN.length - 1) });

describe('the grid of a notebook', () => {
  test('what is written is there, undo takes it back, redo brings it again', () => {
    fc.assert(
      fc.property(
        fc.array(cells, { maxLength: 6 }),
        place,
        fc.array(fc.array(text, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 4 }),
        (rows, at, block) => {
          const before = grid.gridOf(rows);
          const after = grid.write(before, SHOWN, at, block);
          block.forEach((texts, i) =>
            texts.forEach((t, j) => {
              const column = SHOWN[at.column + j];
              if (column) expect(after.rows[at.row + i]?.[column] ?? '').toBe(t);
            }),
          );
          const undone = grid.undone(after);
          expect(undone.rows).toEqual(before.rows);
          expect(grid.redone(undone).rows).toEqual(after.rows);
          expect(grid.undone(before).rows).toEqual(before.rows);
        },
      ),
    );
  });

  test('what is copied is pasted, tabs, lines and quotes too', () => {
    const any = fc.string({ unit: fc.constantFrom('a', '"', '\t', '\n', ' ', '=', ',') });
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 3 })
          .chain((n) =>
            fc.array(fc.array(any, { minLength: n, maxLength: n }), { minLength: 1, maxLength: 4 }),
          ),
        (block) => {
          // An empty last line cannot be told from none.
          fc.pre(block.at(-1)?.some((t) => t !== '') ?? false);
          expect(fromClipboard(toClipboard(block))).toEqual(block);
        },
      ),
    );
  });

  test('fill down, clear: the block alone is changed', () => {
    const state = grid.gridOf([{ product: 'A', at: '1' }, { at: '2' }, { at: '3', grade: '5' }]);
    const block = grid.blockOf({ row: 2, column: 0 }, { row: 0, column: 0 });
    expect(grid.fillDown(state, SHOWN, block).rows).toEqual([
      { product: 'A', at: '1' },
      { product: 'A', at: '2' },
      { product: 'A', at: '3', grade: '5' },
    ]);
    const one = grid.blockOf({ row: 1, column: 0 }, { row: 1, column: 0 });
    expect(grid.fillDown(state, SHOWN, one).rows[1]).toEqual({ product: 'A', at: '2' });
    const all = grid.blockOf({ row: 2, column: 1 }, { row: 2, column: 3 });
    expect(grid.clear(state, SHOWN, all).rows).toEqual([{ product: 'A', at: '1' }, { at: '2' }]);
  });

  test('a row more, a row less', () => {
    const state = grid.gridOf([{ at: '1' }, { at: '2' }, { at: '3' }]);
    expect(grid.withRowAt(state, 1).rows).toEqual([{ at: '1' }, {}, { at: '2' }, { at: '3' }]);
    const two = grid.blockOf({ row: 1, column: 0 }, { row: 0, column: 2 });
    expect(grid.withoutRows(state, two).rows).toEqual([{ at: '3' }]);
    expect(grid.undone(grid.withoutRows(state, two)).rows).toEqual(state.rows);
  });

  test('grid to CSV and back is the same grid', () => {
    fc.assert(
      fc.property(fc.array(cells, { minLength: 1, maxLength: 8 }), (rows) => {
        const kept = rows.filter((r) => Object.keys(r).length > 0);
        fc.pre(kept.some((r) => r.at !== undefined || r.point !== undefined || r.event !== undefined));
        const csv = writeNotebook(kept.map((c) => ({ cells: c })));
        expect(readNotebook(csv).rows.map((r) => r.cells)).toEqual(kept);
      }),
    );
  });
});
