import { clockText, type Slot, type TimedWalk } from '@urvek/core';
import type { PlannedWalk } from '@urvek/study';
import { line, path, rect, text, type Scene, type Shape } from '../scene.ts';
import * as phrases from './phrases.ts';

/** The day as a line: the walks path by path, light, and when one is to be back. */
export interface Day {
  readonly times: readonly TimedWalk<Slot<PlannedWalk>>[];
  /** Minutes after midnight on the clock of the plan; absent: not known. */
  readonly sunriseMin: number | undefined;
  readonly sunsetMin: number | undefined;
  /** Hours at hand. */
  readonly hoursAtHand: number | undefined;
}

interface Block {
  readonly name: string;
  readonly fromMin: number;
  readonly toMin: number;
  readonly walks: readonly { readonly fromMin: number; readonly toMin: number }[];
}

const DAY_MIN = 24 * 60;
const [TOP, BAR, HEIGHT, MARGIN] = [18, 24, 62, 4];
/** A clock's text, and the letter of a name, px. */
const [CLOCK_PX, LETTER_PX] = [44, 7.2];

/** @param width px @returns undefined for a plan without a walk */
export function dayScene(
  { times, sunriseMin, sunsetMin, hoursAtHand }: Day,
  width: number,
): Scene | undefined {
  const [first, last] = [times[0], times.at(-1)];
  if (!first || !last) return undefined;
  const untilMin = hoursAtHand === undefined ? undefined : first.fromMin + 60 * hoursAtHand;
  const [from, to] = [first.fromMin, Math.max(last.toMin, untilMin ?? 0)];
  const x = (min: number): number =>
    MARGIN + ((Math.min(to, Math.max(from, min)) - from) / Math.max(1, to - from)) * (width - 2 * MARGIN);
  const dark = (a: number, b: number): Shape[] => (b > a ? [rect(x(a), TOP, x(b) - x(a), BAR, 'dark')] : []);
  return {
    width,
    height: HEIGHT,
    title: phrases.theDayFromTo(clockText(first.fromMin), clockText(last.toMin)),
    groups: [
      {
        id: 'light',
        title: undefined,
        shapes: [
          rect(x(from), TOP, x(to) - x(from), BAR, 'lane'),
          ...(sunriseMin === undefined ? [] : dark(from, Math.min(to, sunriseMin))),
          ...(sunsetMin === undefined ? [] : dark(Math.max(from, sunsetMin), to)),
        ],
      },
      ...blocksOf(times).map((b) => ({
        id: `${b.name}-${b.fromMin}`,
        title: `${b.name}: ${b.walks.length} walks, ${clockText(b.fromMin)} to ${clockText(b.toMin)}`,
        shapes: blockShapes(b, x),
      })),
      { id: 'hours', title: undefined, shapes: hourShapes(from, to, x, width) },
      {
        id: 'end',
        title: undefined,
        shapes: [
          line(x(last.toMin), TOP - 4, x(last.toMin), TOP + BAR + 4, 'path-end'),
          ...(untilMin === undefined
            ? []
            : [line(x(untilMin), TOP - 4, x(untilMin), TOP + BAR + 4, 'claim')]),
        ],
      },
    ],
  };
}

/** Walks that follow each other on one path. */
function blocksOf(times: Day['times']): Block[] {
  const blocks: {
    name: string;
    fromMin: number;
    toMin: number;
    walks: { fromMin: number; toMin: number }[];
  }[] = [];
  for (const { item, fromMin, walkingFromMin, toMin } of times) {
    const { name } = item.item.path;
    const last = blocks.at(-1);
    const walk = { fromMin: walkingFromMin, toMin };
    if (last?.name === name) {
      last.toMin = Math.max(last.toMin, toMin);
      last.walks.push(walk);
    } else blocks.push({ name, fromMin, toMin, walks: [walk] });
  }
  return blocks;
}

function blockShapes({ name, fromMin, toMin, walks }: Block, x: (min: number) => number): Shape[] {
  const wide = x(toMin) - x(fromMin);
  const fits = Math.floor((wide - 4) / LETTER_PX);
  return [
    rect(x(fromMin), TOP, wide, BAR, 'day-block'),
    ...walks.map((w) =>
      rect(x(w.fromMin), TOP + 5, Math.max(1, x(w.toMin) - x(w.fromMin) - 1), BAR - 10, 'post-made'),
    ),
    ...(name.length <= fits
      ? [text(x(fromMin) + 2, TOP - 5, name, 'label')]
      : [path(`M${x(fromMin)} ${TOP - 6}v4`, 'tick')]),
  ];
}

/** A plan that nobody can walk in a day says so. */
const hourText = (min: number): string =>
  min >= DAY_MIN && min % DAY_MIN === 0 ? phrases.day(min / DAY_MIN + 1) : clockText(min);

/** Full hours, as many as have room. */
function hourShapes(from: number, to: number, x: (min: number) => number, width: number): Shape[] {
  const room = Math.max(1, Math.floor((width - 2 * MARGIN) / CLOCK_PX));
  const step = [1, 2, 3, 6].find((h) => (to - from) / 60 / h <= room) ?? 12;
  const hours = Array.from({ length: Math.floor(to / 60 / step) + 1 }, (_, i) => 60 * step * i).filter(
    (m) => m >= from && m <= to,
  );
  return hours.flatMap((m) => [
    line(x(m), TOP + BAR, x(m), TOP + BAR + 4, 'tick'),
    text(Math.min(width - 18, Math.max(18, x(m))), HEIGHT - 3, hourText(m), 'tick-figure', 'middle'),
  ]);
}
