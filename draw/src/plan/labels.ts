import { text, type Shape } from '../scene.ts';

interface Box {
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

/**
 * Names beside their places, each at the first of four sides where it crosses neither another name, nor what is
 * taken, nor the edge. One that finds no room is left out: it is told when its thing is pointed at.
 */
export function clearLabels(
  labels: readonly { readonly text: string; readonly x: number; readonly y: number }[],
  taken: readonly Box[],
  room: { readonly width: number; readonly height: number },
): (Shape | undefined)[] {
  const placed: Box[] = [...taken];
  return labels.map((label) => {
    const width = label.text.length * LETTER_PX;
    for (const [right, above] of [
      [true, true],
      [true, false],
      [false, true],
      [false, false],
    ] as const) {
      const box: Box = {
        x: right ? label.x + GAP_PX : label.x - GAP_PX - width,
        y: above ? label.y - GAP_PX - LINE_PX : label.y + GAP_PX,
        width,
        height: LINE_PX,
      };
      const inside =
        box.x >= 0 && box.y >= 0 && box.x + width <= room.width && box.y + LINE_PX <= room.height;
      if (!inside || placed.some((other) => meet(box, other))) continue;
      placed.push(box);
      return text(
        right ? box.x : box.x + width,
        box.y + LINE_PX - 3,
        label.text,
        'small',
        right ? 'start' : 'end',
      );
    }
    return undefined;
  });
}
