import { line, path, rect, text, type Scene, type Shape } from '../scene.ts';
import { stateShapes } from '../tape/tape.ts';
import { postShapes } from './posts.ts';

const [WIDE, HIGH] = [132, 30];
const FLOOR = 24;
const TOP = 6;
const [LEFT, RIGHT] = [8, WIDE - 8];

const ground = [line(LEFT, FLOOR, RIGHT, FLOOR, 'tick')];
const fixedEnd = rect(LEFT - 4, FLOOR - 12, 5, 12, 'fixed');
const mark = (x: number): Shape => line(x, TOP, x, FLOOR + 3, 'mark');
const bracket = (a: number, b: number): Shape =>
  path(`M${a + 5} ${TOP}H${a}V${FLOOR}H${a + 5}M${b - 5} ${TOP}H${b}V${FLOOR}H${b - 5}`, 'bracket');
const bands = (...all: readonly (readonly ['clear' | 'degraded' | 'lost', number, number])[]): Shape[] =>
  all.flatMap(([state, a, b]) => stateShapes(state, a, b, FLOOR - 14, 14));
const arrowAt = (x: number): Shape => path(`M${x} ${FLOOR - 13}l9 6l-9 6z`, 'arrow');

/** What a word of the instrument looks like on the tape, in a picture of a line's height. */
export const WORD_SHAPES = {
  path: [
    rect(LEFT, 12, 40, 10, 'leg-open'),
    rect(LEFT + 40, 12, 34, 10, 'leg-wooded'),
    rect(LEFT + 74, 12, RIGHT - LEFT - 74, 10, 'leg-obstructed'),
    fixedEnd,
  ],
  'fixed end': [...ground, fixedEnd],
  separation: [
    path(`M${LEFT} ${FLOOR}Q${WIDE / 2} -14 ${RIGHT} ${FLOOR}`, 'mark'),
    line(LEFT, FLOOR, RIGHT, FLOOR, 'expected'),
  ],
  walk: bands(['clear', LEFT, 70], ['degraded', 70, 96], ['lost', 96, RIGHT]),
  mark: [...ground, mark(44), mark(88)],
  stand: [...ground, rect(56, FLOOR - 14, 20, 14, 'leg-open'), mark(56), mark(76)],
  clear: bands(['clear', LEFT, RIGHT]),
  degraded: bands(['degraded', LEFT, RIGHT]),
  lost: bands(['lost', LEFT, RIGHT]),
  dropout: bands(['clear', LEFT, 54], ['lost', 54, 78], ['clear', 78, RIGHT]),
  bracket: [...ground, bracket(52, 92)],
  bound: [...ground, line(LEFT, FLOOR - 7, 92, FLOOR - 7, 'bound'), arrowAt(92)],
  estimate: [
    ...ground,
    rect(48, FLOOR - 12, 52, 9, 'interval'),
    path(`M72 ${FLOOR - 14}l6 6.5l-6 6.5l-6 -6.5z`, 'median'),
  ],
  claim: [...ground, line(84, 2, 84, FLOOR + 3, 'claim'), text(88, 13, 'claim', 'claim-text')],
  need: [...ground, line(60, 2, 60, FLOOR + 3, 'claim'), text(64, 13, 'need', 'claim-text')],
  planned: postShapes(LEFT, 8, 2, 5, 16),
} as const satisfies Record<string, readonly Shape[]>;
export type DrawnWord = keyof typeof WORD_SHAPES;

export const wordScene = (word: DrawnWord): Scene => ({
  width: WIDE,
  height: HIGH,
  title: word,
  groups: [{ id: word, title: undefined, shapes: WORD_SHAPES[word] }],
});
