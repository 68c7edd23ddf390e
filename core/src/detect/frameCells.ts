/** Frames are looked at in grey and as small as this: sensor noise is averaged, motion is not. */
export const LOOKED_AT = { width: 160, height: 90 } as const;

/** So many dots of one row are a cell. */
export const CELL_DOTS = 10;
export const CELLS_ACROSS = LOOKED_AT.width / CELL_DOTS;
const CELLS = CELLS_ACROSS * LOOKED_AT.height;
/** Parts of a picture, ten dots by ten: about 80 by 80 of a 720-line picture. */
export const PARTS = CELLS / CELL_DOTS;
export const PART_DOTS = CELL_DOTS * CELL_DOTS;

/**
 * Sums over the cells of a frame, row after row, of which all that is asked of a frame is made: its dots are looked at
 * once. In steps of 255; `changes` against the frame before.
 */
export class FrameCells {
  readonly greys = new Uint32Array(CELLS);
  readonly squares = new Uint32Array(CELLS);
  /** Against the frame before, and against the one before that. */
  readonly changes = new Uint32Array(CELLS);
  readonly changesOfTwo = new Uint32Array(CELLS);

  /** A frame, the one before and the one before that, each `LOOKED_AT` large. @throws RangeError */
  look(grey: Uint8Array, last: Uint8Array, older: Uint8Array): void {
    for (const { length } of [grey, last, older])
      if (length !== CELLS * CELL_DOTS) throw new RangeError(`invalid grey: ${length} dots`);
    for (let cell = 0, i = 0; cell < CELLS; cell++) {
      let [greys, squares, changes, changesOfTwo] = [0, 0, 0, 0];
      for (const end = i + CELL_DOTS; i < end; i++) {
        const g = grey[i] as number;
        greys += g;
        squares += g * g;
        changes += Math.abs(g - (last[i] as number));
        changesOfTwo += Math.abs(g - (older[i] as number));
      }
      this.greys[cell] = greys;
      this.squares[cell] = squares;
      this.changes[cell] = changes;
      this.changesOfTwo[cell] = changesOfTwo;
    }
  }
}

/** Sums over the parts of a picture, row after row, of sums over its cells. */
export function partSums(cells: Uint32Array): Float32Array {
  const parts = new Float32Array(PARTS);
  for (let cell = 0; cell < cells.length; cell++) {
    const p = Math.floor(cell / (CELLS_ACROSS * CELL_DOTS)) * CELLS_ACROSS + (cell % CELLS_ACROSS);
    parts[p] = (parts[p] as number) + (cells[cell] as number);
  }
  return parts;
}
