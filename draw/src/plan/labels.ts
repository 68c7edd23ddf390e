import { text, type Shape } from '../scene.ts';

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Of a small letter, in px: the widest that is common, so that a label is never taken for shorter than it is. */
const LETTER_PX = 7;
const LINE_PX = 15;
const GAP_PX = 6;

const meet = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

/** A name and the box of what it names. */
export interface Label extends Box {
  readonly text: string;
}

/**
 * Names beside what they name, each at the first of four sides (above, right, below, left) where it crosses neither
 * another name, nor what is taken, nor the edge. One that finds no room is left out: it is told when its thing is
 * pointed at.
 */
export function clearLabels(
  labels: readonly Label[],
  taken: readonly Box[],
  room: { readonly width: number; readonly height: number },
): (Shape | undefined)[] {
  const placed: Box[] = [...taken];
  return labels.map(({ text: name, x, y, width, height }) => {
    const wide = name.length * LETTER_PX;
    const middle = y + (height - LINE_PX) / 2;
    for (const [left, top, toLeft] of [
      [x, y - LINE_PX - 2, false],
      [x + width + GAP_PX, middle, false],
      [x, y + height + 2, false],
      [x - GAP_PX - wide, middle, true],
    ] as const) {
      const box: Box = { x: left, y: top, width: wide, height: LINE_PX };
      const inside = left >= 0 && top >= 0 && left + wide <= room.width && top + LINE_PX <= room.height;
      if (!inside || placed.some((other) => meet(box, other))) continue;
      placed.push(box);
      return text(toLeft ? left + wide : left, top + LINE_PX - 3, name, 'small', toLeft ? 'end' : 'start');
    }
    return undefined;
  });
}
