import { formatLength, type LengthUnit } from '@urvek/core';
import { farthestM, ratioFigures, type ReachCell } from '@urvek/study';
import { line, path, rect, text, type Scene, type Shape } from '../scene.ts';
import { endsText, estimateText } from '../tape/rangeLanes.ts';
import { postShapes, postsWidth } from './posts.ts';
import type { ReachScale } from './reachScale.ts';
import * as phrases from './phrases.ts';

export const STRIP_PX = 20;
const MIDDLE = STRIP_PX / 2;

/**
 * One cell of the reach board: estimate, bracket, bound, posts still to be walked, or a gap where walks say nothing.
 */
export function reachStrip(cell: ReachCell, scale: ReachScale, unit: LengthUnit): Scene {
  return {
    width: scale.width,
    height: STRIP_PX,
    title: reachTold(cell, unit),
    groups: [
      { id: 'scale', title: undefined, shapes: ground(cell, scale) },
      { id: 'found', title: undefined, shapes: found(cell, scale) },
    ],
  };
}

/** The figures of a scale, above a column. */
export const reachAxis = (scale: ReachScale): Scene => ({
  width: scale.width,
  height: 16,
  title: phrases.separationFromTo(scale.ticks[0]?.label ?? '', scale.ticks.at(-1)?.label ?? ''),
  groups: [
    {
      id: 'scale',
      title: undefined,
      shapes: scale.ticks.map(({ atM, label }) => text(scale.x(atM), 12, label, 'tick-figure', 'middle')),
    },
  ],
});

const ground = (cell: ReachCell, scale: ReachScale): Shape[] => {
  const end = scale.x(farthestM(cell.path));
  return [
    ...scale.ticks.map(({ atM }) => line(scale.x(atM), 2, scale.x(atM), STRIP_PX - 2, 'grid')),
    line(end, 0, end, STRIP_PX, 'path-end'),
  ];
};

function found(of: ReachCell, scale: ReachScale): Shape[] {
  switch (of.state) {
    case 'not planned':
      return [line(scale.x(scale.leastM), MIDDLE, scale.x(farthestM(of.path)), MIDDLE, 'grid')];
    case 'planned':
      return postShapes(postsFrom(of, scale), 3, 0, of.planned, STRIP_PX - 6);
    case 'refused':
      return [gapShape(scale.x(scale.leastM), scale.x(farthestM(of.path)))];
    case 'estimate':
      return estimateShapes(of, scale);
    case 'bound':
    case 'brackets':
      return bracketShapes(of, scale);
  }
}

/** Where the first post stands: beyond the path's end where that would cut through them. */
function postsFrom({ path: walked, planned }: ReachCell, scale: ReachScale): number {
  const [from, end] = [scale.x(scale.leastM), scale.x(farthestM(walked))];
  return end < from + postsWidth(planned) ? end + 6 : from;
}

const gapShape = (x1: number, x2: number): Shape =>
  path(`M${x1 + 5} 4H${x1}V16H${x1 + 5}M${x2 - 5} 4H${x2}V16H${x2 - 5}`, 'lost');

const arrowTo = (x: number, way: 1 | -1): Shape =>
  path(`M${x} ${MIDDLE - 5}l${way * 9} 5l${-way * 9} 5z`, 'arrow');

/** The interval within the path is what was walked; what lies beyond its end is the model's. */
function estimateShapes({ cell, path: walked }: ReachCell, scale: ReachScale): Shape[] {
  const { low, high } = cell?.withScale95M.median ?? { low: undefined, high: undefined };
  const at = scale.x(cell?.median?.estimateM ?? scale.leastM);
  if (low === undefined && high === undefined) return [diamond(at)];
  const [from, to] = [scale.x(low ?? 0), scale.x(high ?? Infinity)];
  const end = Math.min(to, Math.max(from, scale.x(farthestM(walked))));
  return [
    rect(from, MIDDLE - 6, end - from, 12, 'interval'),
    ...(to > end ? [rect(end, MIDDLE - 6, to - end, 12, 'interval-beyond')] : []),
    ...(high === undefined || high > scale.mostM ? [arrowTo(to - 2, 1)] : []),
    ...(low === undefined ? [arrowTo(from + 2, -1)] : []),
    diamond(at),
  ];
}

const diamond = (x: number): Shape => path(`M${x} ${MIDDLE - 8}l6 8l-6 8l-6 -8z`, 'median');

function bracketShapes({ cell, brackets, state }: ReachCell, scale: ReachScale): Shape[] {
  const common = cell?.unplaced === 0 ? cell.bounds?.common : undefined;
  const all = common ? [common] : brackets;
  const edge = (x: number, serif: number): Shape =>
    path(`M${x + serif} ${MIDDLE - 7}H${x}V${MIDDLE + 7}H${x + serif}`, 'bracket');
  return all.flatMap(({ heldM, failedM }) => {
    if (failedM === undefined || (state === 'bound' && cell?.failures === 0)) {
      const x = scale.x(heldM);
      return [edge(x, 0), line(x, MIDDLE, x + 14, MIDDLE, 'bound'), arrowTo(x + 14, 1)];
    }
    const x = scale.x(failedM);
    if (heldM === 0) return [edge(x, 0), line(x, MIDDLE, x - 14, MIDDLE, 'bound'), arrowTo(x - 14, -1)];
    const held = scale.x(heldM);
    const serif = x - held > 10 ? 4 : 0;
    return [edge(held, serif), line(held, MIDDLE, x, MIDDLE, 'bracket'), edge(x, -serif)];
  });
}

/** The largest figure of a cell, and what stands beside it. */
export interface ReachFigures {
  readonly value: string;
  readonly beside: string | undefined;
  readonly n: string | undefined;
  readonly ratio: string | undefined;
  /** The interval of the ratio leaves 1 out. */
  readonly apart: boolean;
}

/** "105 to 313 m": the unit once where both have it. */
function between(lowM: number | undefined, highM: number | undefined, unit: LengthUnit): string | undefined {
  const show = (m: number): string => formatLength(m, unit);
  if (lowM === undefined || highM === undefined) return endsText(lowM, highM, show);
  const [low, high] = [show(lowM), show(highM)];
  const [figure, own] = low.split(' ');
  return own !== undefined && high.endsWith(` ${own}`) ? phrases.to(figure, high) : phrases.to2(low, high);
}

/** What a cell says in figures, with as much beside its value as `width` px hold: first n goes, then the rest. */
export function reachFigures(of: ReachCell, unit: LengthUnit, width = Infinity): ReachFigures {
  const against = of.ratio && ratioFigures(of.ratio);
  const ratio = against && `${against.apart ? '' : '≈ '}×${against.ratio.toFixed(2)}`;
  const n = of.walks > 0 ? `n ${of.walks}` : undefined;
  const { value, beside } = valueOf(of, unit);
  const taken = value.length * VALUE_PX + (ratio?.length ?? 0) * SMALL_PX + GAP_PX;
  const room = (...texts: (string | undefined)[]): boolean =>
    taken + texts.reduce((px, t) => px + (t === undefined ? 0 : t.length * SMALL_PX + GAP_PX), 0) <= width;
  return {
    ...{ value, ratio, apart: against?.apart ?? false },
    beside: room(beside) ? beside : undefined,
    n: room(beside, n) || (!room(beside) && room(n)) ? n : undefined,
  };
}

/** Widths of a sign, px, as the page sets them: of the value, and of what stands beside it. */
const [VALUE_PX, SMALL_PX, GAP_PX] = [9.4, 7.1, 8];

function valueOf(of: ReachCell, unit: LengthUnit): Pick<ReachFigures, 'value' | 'beside'> {
  const show = (m: number): string => formatLength(m, unit);
  const { cell } = of;
  switch (of.state) {
    case 'not planned':
      return { value: '–', beside: undefined };
    case 'planned':
      return { value: phrases.toWalk, beside: phrases.planned(of.planned) };
    case 'refused':
      return { value: phrases.noDistance, beside: undefined };
    case 'estimate': {
      const ends = cell?.withScale95M.median;
      return { value: show(cell?.median?.estimateM ?? 0), beside: between(ends?.low, ends?.high, unit) };
    }
    case 'bound':
      return cell?.failures === 0
        ? {
            value: `> ${show(cell.withScale95M.allHeldToM ?? cell.bounds?.allHeldToM ?? 0)}`,
            beside: phrases.heldToTheEnd,
          }
        : { value: `< ${show(nearestFail(of))}`, beside: phrases.failedAtOnce };
    case 'brackets':
      return { value: bracketsText(of, unit), beside: phrases.brackets(of.brackets.length) };
  }
}

const nearestFail = ({ brackets }: ReachCell): number =>
  Math.min(...brackets.map((b) => b.failedM ?? Infinity));

/** All brackets together: from the nearest hold to the farthest fail. */
function bracketsText({ brackets }: ReachCell, unit: LengthUnit): string {
  const held = Math.min(...brackets.map((b) => b.heldM));
  const open = brackets.some((b) => b.failedM === undefined);
  const failed = open ? undefined : Math.max(...brackets.map((b) => b.failedM as number));
  if (failed === undefined) return held > 0 ? `> ${formatLength(held, unit)}` : 'brackets';
  return between(held > 0 ? held : undefined, failed, unit) ?? 'brackets';
}

/** A cell in one sentence. */
export function reachTold(of: ReachCell, unit: LengthUnit): string {
  const where = phrases.on(of.subject, of.path.name);
  switch (of.state) {
    case 'not planned':
      return phrases.notPlanned(where);
    case 'planned':
      return phrases.toMake(where, phrases.countedWalks(of.planned));
    case 'refused':
      return phrases.noDistance2(where, phrases.countedWalks(of.walks), of.why ?? '');
    default: {
      const against = of.ratio && ratioFigures(of.ratio);
      const other = of.ratio && (of.ratio.inverse ? of.ratio.of.numerator : of.ratio.of.denominator);
      const ratio = against
        ? `; ${against.ratio.toFixed(2)} × ${other}${against.apart ? phrases.toldApart : phrases.notToldApart}`
        : '';
      return `${where}: ${of.cell ? estimateText(of.cell, unit) : ''}${ratio}`;
    }
  }
}
