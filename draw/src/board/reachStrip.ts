import { formatLength, pathLengthM, type LengthUnit } from '@urvek/core';
import { ratioFigures, type ReachCell } from '@urvek/study';
import { line, path, rect, text, type Scene, type Shape } from '../scene.ts';
import { endsText, estimateText } from '../tape/rangeLanes.ts';
import { postShapes } from './posts.ts';
import type { ReachScale } from './reachScale.ts';

export const STRIP_PX = 22;
const MIDDLE = STRIP_PX / 2;

/** One cell of the reach board: estimate, bracket, bound, posts still to be walked, or a gap where walks say nothing. */
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
  title: `Separation, from ${scale.ticks[0]?.label ?? ''} to ${scale.ticks.at(-1)?.label ?? ''}`,
  groups: [
    {
      id: 'scale',
      title: undefined,
      shapes: scale.ticks.map(({ atM, label }) => text(scale.x(atM), 12, label, 'tick-figure', 'middle')),
    },
  ],
});

const ground = (cell: ReachCell, scale: ReachScale): Shape[] => {
  const end = scale.x(pathLengthM(cell.path));
  return [
    ...scale.ticks.map(({ atM }) => line(scale.x(atM), 2, scale.x(atM), STRIP_PX - 2, 'grid')),
    line(end, 0, end, STRIP_PX, 'path-end'),
  ];
};

function found(of: ReachCell, scale: ReachScale): Shape[] {
  switch (of.state) {
    case 'not planned':
      return [line(scale.x(scale.leastM), MIDDLE, scale.x(pathLengthM(of.path)), MIDDLE, 'grid')];
    case 'planned':
      return postShapes(scale.x(scale.leastM), 3, 0, of.planned, STRIP_PX - 6);
    case 'refused':
      return [gapShape(scale.x(scale.leastM), scale.x(pathLengthM(of.path)))];
    case 'estimate':
      return estimateShapes(of, scale);
    case 'bound':
    case 'brackets':
      return bracketShapes(of, scale);
  }
}

const gapShape = (x1: number, x2: number): Shape =>
  path(`M${x1 + 5} 5H${x1}V17H${x1 + 5}M${x2 - 5} 5H${x2}V17H${x2 - 5}`, 'lost');

const arrowTo = (x: number, way: 1 | -1): Shape =>
  path(`M${x} ${MIDDLE - 5}l${way * 9} 5l${-way * 9} 5z`, 'arrow');

/** The interval within the path is what was walked; what lies beyond its end is the model's. */
function estimateShapes({ cell, path: walked }: ReachCell, scale: ReachScale): Shape[] {
  const { low, high } = cell?.withScale95M.median ?? { low: undefined, high: undefined };
  const at = scale.x(cell?.median?.estimateM ?? scale.leastM);
  if (low === undefined && high === undefined) return [diamond(at)];
  const [from, to] = [scale.x(low ?? 0), scale.x(high ?? Infinity)];
  const end = Math.min(to, Math.max(from, scale.x(pathLengthM(walked))));
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

/** The largest figure of a cell, and what stands beside it while there is room. */
export interface ReachFigures {
  readonly value: string;
  readonly beside: string | undefined;
  readonly n: string | undefined;
  readonly ratio: string | undefined;
  /** The interval of the ratio leaves 1 out. */
  readonly apart: boolean;
}

export function reachFigures(of: ReachCell, unit: LengthUnit): ReachFigures {
  const show = (m: number): string => formatLength(m, unit);
  const { cell } = of;
  const against = of.ratio && ratioFigures(of.ratio);
  const rest = {
    n: of.walks > 0 ? `n ${of.walks}` : undefined,
    ratio: against && `${against.apart ? '' : '≈ '}×${against.ratio.toFixed(2)}`,
    apart: against?.apart ?? false,
  };
  const common = cell?.unplaced === 0 ? cell.bounds?.common : undefined;
  switch (of.state) {
    case 'not planned':
      return { ...rest, value: 'not planned', beside: undefined };
    case 'planned':
      return { ...rest, value: 'to walk', beside: `${of.planned} planned`, n: undefined };
    case 'refused':
      return { ...rest, value: 'no distance', beside: undefined };
    case 'estimate': {
      const ends = cell?.withScale95M.median;
      return {
        ...rest,
        value: show(cell?.median?.estimateM ?? 0),
        beside: ends && endsText(ends.low, ends.high, show),
      };
    }
    case 'bound':
      return cell?.failures === 0
        ? {
            ...rest,
            value: `> ${show(cell.withScale95M.allHeldToM ?? cell.bounds?.allHeldToM ?? 0)}`,
            beside: 'held to the end',
          }
        : { ...rest, value: `< ${show(common?.failedM ?? 0)}`, beside: 'failed at once' };
    case 'brackets':
      return common?.failedM === undefined
        ? { ...rest, value: 'brackets', beside: 'that do not agree' }
        : { ...rest, value: endsText(common.heldM, common.failedM, show) ?? '', beside: 'brackets' };
  }
}

/** A cell in one sentence. */
export function reachTold(of: ReachCell, unit: LengthUnit): string {
  const where = `${of.subject} on ${of.path.name}`;
  switch (of.state) {
    case 'not planned':
      return `${where}: not planned`;
    case 'planned':
      return `${where}: ${of.planned} ${of.planned === 1 ? 'walk' : 'walks'} to make`;
    case 'refused':
      return `${where}: ${of.walks} ${of.walks === 1 ? 'walk' : 'walks'}, no distance: ${of.why ?? ''}`;
    default: {
      const against = of.ratio && ratioFigures(of.ratio);
      const other = of.ratio && (of.ratio.inverse ? of.ratio.of.numerator : of.ratio.of.denominator);
      const ratio = against
        ? `; ${against.ratio.toFixed(2)} × ${other}${against.apart ? ', told apart' : ', not told apart'}`
        : '';
      return `${where}: ${of.cell ? estimateText(of.cell, unit) : ''}${ratio}`;
    }
  }
}
