import type { Outlook, PlanCell } from '@urvek/study';
import { line, path, type Scene, type Shape } from '../scene.ts';
import { postShapes, postsWidth } from './posts.ts';
import * as phrases from './phrases.ts';

const [HEIGHT, MIDDLE] = [20, 10];

/** What a shape of the board takes, with what keeps it apart. */
const SHAPE_PX = 24;
const GAP = 12;

/** One shape by itself, for the legend; without an outlook a post. */
export const planSignScene = (sign: Outlook | 'made' | 'to make', title: string): Scene => ({
  width: sign === 'made' || sign === 'to make' ? postsWidth(1) : SHAPE_PX,
  height: HEIGHT,
  title,
  groups: [
    {
      id: sign,
      title: undefined,
      shapes:
        sign === 'made' || sign === 'to make'
          ? postShapes(1, 2, sign === 'made' ? 1 : 0, 1, HEIGHT - 4)
          : outlookShapes(sign, 1),
    },
  ],
});

/** Walks made and to make as posts, and what they will come to by its shape. */
export const planCellScene = ({ made, wanted, outlook, short }: PlanCell): Scene => ({
  width: postsWidth(Math.max(made, wanted)) + GAP + SHAPE_PX,
  height: HEIGHT,
  title: phrases.ofWalksMade(made, wanted, short),
  groups: [
    {
      id: 'cell',
      title: undefined,
      shapes: [
        ...postShapes(1, 2, made, wanted, HEIGHT - 4),
        ...outlookShapes(outlook, postsWidth(Math.max(made, wanted)) + GAP),
      ],
    },
  ],
});

const edge = (x: number, serif: number): Shape =>
  path(`M${x + serif} ${MIDDLE - 6}H${x}V${MIDDLE + 6}H${x + serif}`, 'bracket');

/** The shapes of a result to come: diamond, bound, bracket. */
export function outlookShapes(outlook: Outlook, x: number): Shape[] {
  switch (outlook) {
    case 'settles':
      return [path(`M${x + 7} ${MIDDLE - 8}l7 8l-7 8l-7 -8z`, 'median')];
    case 'tells':
      return [path(`M${x + 7} ${MIDDLE - 8}l7 8l-7 8l-7 -8z`, 'median-open')];
    case 'bound':
      return [line(x, MIDDLE, x + 12, MIDDLE, 'bound'), path(`M${x + 12} ${MIDDLE - 5}l9 5l-9 5z`, 'arrow')];
    case 'too few':
      return [edge(x, 4), line(x, MIDDLE, x + 20, MIDDLE, 'bracket'), edge(x + 20, -4)];
  }
}
