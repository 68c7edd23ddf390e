import { formatLength, METRES_PER, type Exposure, type LengthUnit, type LinkState } from '@urvek/core';
import { onePerPixel } from '../onePerPixel.ts';
import { line, path, rect, text, type Group, type Scene, type Shape } from '../scene.ts';
import { tapeScale, ticks, type TapeScale } from './scale.ts';
import * as phrases from './phrases.ts';

/** The ground under the tape. */
export interface TapeGround {
  readonly lengthM: number;
  readonly legs: readonly { readonly fromM: number; readonly toM: number; readonly exposure: Exposure }[];
  readonly obstructions: readonly { readonly atM: number; readonly label: string }[];
  readonly checkpoints: readonly { readonly atM: number; readonly name: string }[];
  /** What must be minded, where. */
  readonly hazards?: readonly { readonly atM: number; readonly what: string }[];
}

export interface StateBand {
  readonly fromM: number;
  readonly toM: number;
  readonly state: LinkState;
}

/** One row under the tape: a walk, a product's estimate, a direction. */
export interface Lane {
  readonly id: string;
  readonly label: string;
  readonly note?: string;
  readonly title?: string;
  readonly states?: readonly StateBand[];
  readonly marks?: readonly { readonly atM: number; readonly uncertaintyM: number }[];
  readonly brackets?: readonly Bracket[];
  /** A curve over distance with a band about it, and a line at zero: a predicted margin in dB. */
  readonly curve?: {
    readonly points: readonly { readonly atM: number; readonly value: number }[];
    readonly band: number;
    readonly least: number;
    readonly most: number;
    readonly marks: readonly {
      readonly lowM: number | undefined;
      readonly highM: number | undefined;
      readonly label: string;
    }[];
  };
  readonly estimate?: {
    readonly lowM: number | undefined;
    readonly valueM: number | undefined;
    readonly highM: number | undefined;
  };
  readonly height?: number;
}

/** Between the last place that held and the first that failed; an absent end is a bound. */
export interface Bracket {
  readonly heldM: number;
  readonly failedM: number | undefined;
  /** It failed somewhere in there. */
  readonly unplaced?: boolean;
}

export interface TapeOptions {
  readonly title: string;
  readonly ground: TapeGround;
  readonly unit: LengthUnit;
  /** What the figures on the tape measure. */
  readonly measure: 'travelled' | 'separation';
  readonly lanes?: readonly Lane[];
  readonly claims?: readonly { readonly atM: number; readonly label: string }[];
  readonly hereM?: number;
  readonly width?: number;
  /** Room for lane labels at the left. */
  readonly labelWidth?: number;
}

const TAPE_HEIGHT = 28;
const LANE_HEIGHT = 26;
const CLAIM_LINE = 16;
const LABEL_LINE = 15;
/** Room for lane labels where no other is asked for, px. */
const LABEL_WIDTH = 150;

/** The scale of the tape that `tapeScene` draws: for pointing at it. */
export const scaleOf = ({ ground, width = 1160, labelWidth = LABEL_WIDTH }: TapeOptions): TapeScale =>
  tapeScale(ground.lengthM, labelWidth, width - 26);

/** The surveyor's tape: figures, ground, and one lane a row below it, all to one scale. */
export function tapeScene(options: TapeOptions): Scene {
  const { ground, lanes = [], claims = [], hereM, width = 1160, labelWidth = LABEL_WIDTH } = options;
  const scale = scaleOf(options);
  const rows = labelRows(ground.obstructions, scale);
  const tapeTop =
    10 + claims.length * CLAIM_LINE + (rows.length > 0 ? 3 + LABEL_LINE * (1 + Math.max(...rows)) : 0);
  const groundTop = tapeTop + TAPE_HEIGHT + 4;
  const lanesTop = groundTop + 24;
  const tops = lanes.reduce<number[]>(
    (at, lane) => [...at, (at.at(-1) as number) + (lane.height ?? LANE_HEIGHT)],
    [lanesTop],
  );
  const bottom = tops.at(-1) as number;
  const groups: Group[] = [
    { id: 'ground', title: undefined, shapes: groundShapes(options, scale, groundTop, tapeTop, rows) },
    { id: 'tape', title: undefined, shapes: tapeShapes(options, scale, tapeTop, bottom) },
    ...lanes.map((lane, i) => ({
      id: lane.id,
      title: lane.title ?? lane.label,
      shapes: laneShapes(lane, scale, tops[i] as number, labelWidth),
    })),
    ...claims.map((claim, i) => ({
      id: `claim-${i}`,
      title: claim.label,
      shapes: claimShapes(claim, scale, 10 + i * CLAIM_LINE, bottom),
    })),
  ];
  if (hereM !== undefined)
    groups.push({
      id: 'here',
      title: phrases.here(formatLength(hereM)),
      shapes: hereShapes(scale.x(hereM), tapeTop, bottom),
    });
  return { width, height: bottom + 8, title: options.title, groups };
}

function tapeShapes(
  { ground, unit, measure, labelWidth = LABEL_WIDTH }: TapeOptions,
  scale: TapeScale,
  top: number,
  bottom: number,
): Shape[] {
  const { majorM, minorM } = ticks(ground.lengthM, unit, Math.max(3, (scale.right - scale.left) / 62));
  const base = top + TAPE_HEIGHT;
  const figure = (m: number): string => String(Math.round((m / METRES_PER[unit]) * 100) / 100);
  return [
    rect(scale.left, top, scale.right - scale.left, TAPE_HEIGHT, 'tape'),
    ...minorM.map((m) => line(scale.x(m), base, scale.x(m), base - 6, 'minor')),
    ...majorM.flatMap((m) => [
      line(scale.x(m), base, scale.x(m), base - 12, 'tick'),
      line(scale.x(m), base + 24, scale.x(m), bottom, 'grid'),
      // Beside its tick: claims are round numbers, and their line would strike it out.
      scale.x(m) > scale.right - 34
        ? text(scale.x(m) - 4, top + 12, figure(m), 'figure', 'end')
        : text(scale.x(m) + 4, top + 12, figure(m), 'figure'),
    ]),
    // The end of the tape: a ring at the zero, where the fixed end stands.
    rect(scale.left - 7, top - 3, 7, TAPE_HEIGHT + 6, 'fixed'),
    text(labelWidth - 14, top + 10, phrases.fixedEnd, 'small', 'end'),
    text(labelWidth - 14, top + 25, `${measure}, ${unit}`, 'small', 'end'),
    text(scale.right + 4, base - 8, unit, 'small'),
  ];
}

/** Widths of a letter of a small label and of a strong one, px. */
const LETTER_PX = 6.9;
const STRONG_LETTER_PX = 7.2;

/**
 * Labels that would run into each other stand in rows above each other: the row of each, 0 nearest the tape.
 */
function labelRows(obstructions: TapeGround['obstructions'], scale: TapeScale): number[] {
  const ends: number[] = [];
  const order = obstructions
    .map((_, i) => i)
    .sort((a, b) => (obstructions[a]?.atM ?? 0) - (obstructions[b]?.atM ?? 0));
  const rows = new Array<number>(obstructions.length).fill(0);
  for (const i of order) {
    const { atM, label } = obstructions[i] as TapeGround['obstructions'][number];
    const from = scale.x(atM);
    const free = ends.findIndex((end) => end < from);
    const row = free === -1 ? ends.length : free;
    ends[row] = from + 14 + LETTER_PX * label.length;
    rows[i] = row;
  }
  return rows;
}

function groundShapes(
  { ground }: TapeOptions,
  scale: TapeScale,
  top: number,
  tapeTop: number,
  rows: readonly number[],
): Shape[] {
  return [
    ...ground.legs.map((leg) =>
      rect(scale.x(leg.fromM), top, scale.x(leg.toM) - scale.x(leg.fromM), 9, `leg-${leg.exposure}`),
    ),
    ...ground.obstructions.flatMap((o, i) => [
      path(`M${scale.x(o.atM)} ${tapeTop - 2}l-5 -8h10z`, 'obstruction'),
      rect(scale.x(o.atM) - 1.5, top - 2, 3, 15, 'obstruction'),
      text(scale.x(o.atM) + 8, tapeTop - 4 - LABEL_LINE * (rows[i] ?? 0), o.label, 'small'),
    ]),
    ...ground.checkpoints.map((c) => path(`M${scale.x(c.atM)} ${top + 8}l4 6h-8z`, 'checkpoint')),
    // A mark of the tape's own, no sign of the road: a notch with a stroke and a dot.
    ...(ground.hazards ?? []).flatMap(({ atM }) => [
      rect(scale.x(atM) - 4, top - 3, 8, 15, 'hazard'),
      rect(scale.x(atM) - 1, top - 1, 2, 7, 'hazard-mark'),
      rect(scale.x(atM) - 1, top + 8, 2, 2, 'hazard-mark'),
    ]),
  ];
}

/** Text that would run into the ground is cut and says so; the lane's title has it whole. */
const cut = (label: string, roomPx: number, letterPx: number): string => {
  const letters = Math.floor(roomPx / letterPx);
  return label.length <= letters ? label : `${label.slice(0, letters - 1).trimEnd()}…`;
};

function laneShapes(lane: Lane, scale: TapeScale, top: number, labelWidth: number): Shape[] {
  const height = lane.height ?? LANE_HEIGHT;
  const middle = top + height / 2;
  return [
    line(scale.left, top + height, scale.right, top + height, 'lane'),
    text(
      4,
      lane.note === undefined ? middle + 4 : middle - 1,
      cut(lane.label, labelWidth - 8, lane.estimate ? STRONG_LETTER_PX : LETTER_PX),
      lane.estimate ? 'strong' : 'label',
    ),
    ...(lane.note === undefined ? [] : [text(4, middle + 13, lane.note, 'small')]),
    ...(lane.states ?? []).flatMap((band) => bandShapes(band, scale, top + 5, height - 10)),
    ...onePerPixel(lane.marks ?? [], (mark) => Math.round(scale.x(mark.atM))).flatMap((mark) =>
      markShapes(mark, scale, top + height - 5),
    ),
    ...(lane.curve ? curveShapes(lane.curve, scale, top + 4, height - 8) : []),
    ...(lane.estimate ? estimateShapes(lane.estimate, scale, middle) : []),
    ...(lane.brackets ?? []).flatMap((b) => bracketShapes(b, scale, middle)),
  ];
}

const POST_PX = 8;

/** Clear: solid, full height. Degraded: hatched, half height. Lost: an open gap with a tick at each end. */
function bandShapes(
  { fromM, toM, state }: StateBand,
  scale: TapeScale,
  top: number,
  height: number,
): Shape[] {
  // A stand is a post, not painted ground.
  const half = fromM === toM ? POST_PX / 2 : 0;
  const [x1, x2] = [scale.x(Math.min(fromM, toM)) - half, scale.x(Math.max(fromM, toM)) + half];
  return stateShapes(state, x1, x2, top, height);
}

/** A state from here to there, px. */
export function stateShapes(state: LinkState, x1: number, x2: number, top: number, height: number): Shape[] {
  if (state === 'clear') return [rect(x1, top, x2 - x1, height, 'clear')];
  if (state === 'degraded') return [rect(x1, top + height / 2, x2 - x1, height / 2, 'degraded')];
  const end = (x: number, inward: number): Shape =>
    path(`M${x + inward * 3} ${top}H${x}V${top + height}H${x + inward * 3}`, 'lost');
  return x2 - x1 < 3
    ? [line((x1 + x2) / 2, top, (x1 + x2) / 2, top + height, 'lost')]
    : [end(x1, 1), end(x2, -1)];
}

function markShapes(
  { atM, uncertaintyM }: { atM: number; uncertaintyM: number },
  scale: TapeScale,
  y: number,
): Shape[] {
  const spread = scale.x(2 * uncertaintyM) - scale.x(0);
  const x = scale.x(atM);
  // Nobody is before the fixed end, and beside the tape stand words; a mark beyond its end is drawn there.
  const [from, to] = [scale.x(0), Math.max(x, scale.right)];
  return [
    line(x, y, x, y + 5, 'mark'),
    ...(spread > 2 ? [line(Math.max(from, x - spread), y + 5, Math.min(to, x + spread), y + 5, 'mark')] : []),
  ];
}

/** Hold and fail joined; a bound is an open arrow, never a dot. */
function bracketShapes({ heldM, failedM, unplaced }: Bracket, scale: TapeScale, y: number): Shape[] {
  const held = scale.x(heldM);
  // It failed, and nobody knows where: no arrow, which would say that it went on.
  if (unplaced) {
    const until = failedM === undefined ? held + 22 : scale.x(failedM);
    return [
      line(held, y - 7, held, y + 7, 'bracket'),
      line(held, y, until, y, 'bound'),
      text(until + 4, y + 4, phrases.failedWhere, 'small'),
    ];
  }
  if (failedM === undefined)
    return [
      line(held, y - 7, held, y + 7, 'bracket'),
      line(held, y, held + 22, y, 'bound'),
      path(`M${held + 22} ${y - 6}l11 6l-11 6z`, 'arrow'),
    ];
  const failed = scale.x(failedM);
  if (heldM === 0)
    return [
      line(failed, y - 7, failed, y + 7, 'bracket'),
      line(failed, y, failed - 22, y, 'bound'),
      path(`M${failed - 22} ${y - 6}l-11 6l11 6z`, 'arrow'),
    ];
  const serif = failed - held > 14 ? 4 : 0;
  return [
    path(`M${held + serif} ${y - 7}H${held}V${y + 7}H${held + serif}`, 'bracket'),
    line(held, y, failed, y, 'bracket'),
    path(`M${failed - serif} ${y - 7}H${failed}V${y + 7}H${failed - serif}`, 'bracket'),
  ];
}

function estimateShapes(
  { lowM, valueM, highM }: NonNullable<Lane['estimate']>,
  scale: TapeScale,
  y: number,
): Shape[] {
  const low = lowM === undefined ? scale.left : scale.x(lowM);
  const high = highM === undefined ? scale.right : scale.x(highM);
  return [
    ...(lowM === undefined && highM === undefined ? [] : [rect(low, y - 8, high - low, 16, 'interval')]),
    ...(highM === undefined && lowM !== undefined
      ? [path(`M${high - 2} ${y - 8}l12 8l-12 8z`, 'arrow')]
      : []),
    ...(valueM === undefined ? [] : [path(`M${scale.x(valueM)} ${y - 10}l7 10l-7 10l-7 -10z`, 'median')]),
  ];
}

function claimShapes(
  { atM, label: said }: { atM: number; label: string },
  scale: TapeScale,
  y: number,
  bottom: number,
): Shape[] {
  const x = scale.x(atM);
  const label = atM > scale.lengthM ? phrases.beyondThisTape(said) : said;
  const flipped = x > (scale.left + scale.right) / 2 + 250;
  return [
    line(x, y + 2, x, bottom, 'claim'),
    text(flipped ? x - 5 : x + 5, y + 10, label, 'claim-text', flipped ? 'end' : 'start'),
  ];
}

/** Predictions are drawn as predictions: an open curve in a band, ranges as open bars, no dot. */
function curveShapes(
  { points, band, least, most, marks }: NonNullable<Lane['curve']>,
  scale: TapeScale,
  top: number,
  height: number,
): Shape[] {
  const y = (value: number): number =>
    top + height * (1 - (Math.min(most, Math.max(least, value)) - least) / (most - least));
  const trace = (shift: number, from = points): string =>
    from.map((p) => `${scale.x(p.atM).toFixed(1)} ${y(p.value + shift).toFixed(1)}`).join('L');
  return [
    path(`M${trace(band)}L${trace(-band, [...points].reverse())}Z`, 'band'),
    path(`M${trace(0)}`, 'curve'),
    line(scale.left, y(0), scale.right, y(0), 'zero'),
    text(scale.left - 4, y(0) + 4, phrases.n0Db, 'small', 'end'),
    ...marks.flatMap(({ lowM, highM, label }, i) => {
      if (lowM === undefined) return [];
      const [x1, x2] = [scale.x(lowM), highM === undefined ? scale.right : scale.x(highM)];
      const at = top + height - 6 - 15 * (marks.length - 1 - i);
      return [
        path(
          `M${x1} ${at - 5}V${at + 5}M${x1} ${at}H${x2}${highM === undefined ? '' : `M${x2} ${at - 5}V${at + 5}`}`,
          'expected',
        ),
        text(x1 - 5, at + 4, label, 'small', 'end'),
      ];
    }),
  ];
}

const hereShapes = (x: number, top: number, bottom: number): Shape[] => [
  line(x, top - 4, x, bottom, 'cursor'),
  path(`M${x} ${top}l-7 -11h14z`, 'here'),
];
