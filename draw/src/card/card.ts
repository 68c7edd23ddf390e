import { line, placeGroup, rect, text, type Group, type Scene, type Shape } from '../scene.ts';
import * as phrases from './phrases.ts';

/** Frames that a film, a post or a page asks for. */
export const CARD_SHAPES = ['16:9', '1:1', '9:16'] as const;
export type CardShape = (typeof CARD_SHAPES)[number];

/** px of the view box; twice as many dots make a full-size picture. */
export const CARD_PX: Readonly<Record<CardShape, readonly [number, number]>> = {
  '16:9': [960, 540],
  '1:1': [720, 720],
  '9:16': [540, 960],
};

/** What the shapes of a result say, in a line. */
export const intervalLegend = phrases.diamondMedianBarIts95Percent;

export interface Card {
  readonly shape: CardShape;
  readonly title: string;
  readonly lead: string;
  /** What was measured and how sure it is, in a line. */
  readonly foot: string;
  /** Said on the picture, wherever it is shown: nobody walked it. */
  readonly simulated: string | undefined;
  /** Side by side, or one below the other, as large as the frame lets them be. */
  readonly blocks: readonly Scene[];
}

const [MARGIN, GAP] = [32, 22];
const [TITLE_LINE, LEAD_LINE, FOOT_LINE] = [34, 22, 20];
/** Widths of a letter as the roles set them, px. */
const [TITLE_PX, SMALL_PX] = [14.2, 8.2];
/** No block is blown up more than this. */
const MOST_SCALE = 2.4;

/** A card: what it is about, pictures, what they rest on. @throws RangeError for a card without a picture */
export function cardScene({ shape, title, lead, foot, simulated, blocks }: Card): Scene {
  if (blocks.length === 0) throw new RangeError(phrases.invalidBlocksNone);
  const [width, height] = CARD_PX[shape];
  const inner = width - 2 * MARGIN;
  const titles = wrapped(title, inner / TITLE_PX);
  const leads = wrapped(lead, inner / SMALL_PX);
  const feet = [...wrapped(foot, inner / SMALL_PX), ...(simulated === undefined ? [] : [simulated])];
  const leadTop = MARGIN + titles.length * TITLE_LINE;
  const top = leadTop + leads.length * LEAD_LINE + 10;
  const bottom = height - MARGIN / 2 - feet.length * FOOT_LINE - 10;
  const head: Shape[] = [
    rect(0, 0, width, height, 'card'),
    ...titles.map((t, i) => text(MARGIN, MARGIN + 20 + i * TITLE_LINE, t, 'card-title')),
    ...leads.map((t, i) => text(MARGIN, leadTop + 12 + i * LEAD_LINE, t, 'card-small')),
    line(MARGIN, bottom + 6, width - MARGIN, bottom + 6, 'tick'),
    ...feet.map((t, i) =>
      text(
        MARGIN,
        bottom + 26 + i * FOOT_LINE,
        t,
        i >= feet.length - (simulated ? 1 : 0) ? 'card-mark' : 'card-small',
      ),
    ),
  ];
  return {
    ...{ width, height, title },
    groups: [
      { id: 'card', title: undefined, shapes: head },
      ...placed(blocks, MARGIN, top, inner, bottom - top),
    ],
  };
}

/** Lines of so many letters, broken between words. */
function wrapped(value: string, letters: number): string[] {
  const lines: string[] = [];
  for (const word of value.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= letters)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** In as many columns as make them largest. */
function placed(blocks: readonly Scene[], left: number, top: number, width: number, height: number): Group[] {
  const wide = Math.max(...blocks.map((b) => b.width));
  const high = Math.max(...blocks.map((b) => b.height));
  const scaleOf = (columns: number): number => {
    const rows = Math.ceil(blocks.length / columns);
    return Math.min(
      MOST_SCALE,
      (width - (columns - 1) * GAP) / columns / wide,
      (height - (rows - 1) * GAP) / rows / high,
    );
  };
  const columns = blocks.reduce((best, _, i) => (scaleOf(i + 1) > scaleOf(best) ? i + 1 : best), 1);
  const scale = scaleOf(columns);
  const rows = Math.ceil(blocks.length / columns);
  const share = (width - (columns - 1) * GAP) / columns;
  const spare = Math.max(0, height - rows * high * scale - (rows - 1) * GAP) / (rows + 1);
  return blocks.flatMap((block, i) => {
    const x = left + (i % columns) * (share + GAP) + (columns === 1 ? (share - wide * scale) / 2 : 0);
    const y = top + spare + Math.floor(i / columns) * (high * scale + GAP + spare);
    return block.groups.map((g, k) => placeGroup({ ...g, id: `${i}-${k}` }, x, y, scale));
  });
}
