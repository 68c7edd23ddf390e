import {
  effectiveLog,
  isAutomatic,
  type Direction,
  type DistanceReading,
  type EventBodies,
  type Quantity,
  type WalkEvent,
} from '@urvek/core';
import type { Setup, StoredWalk } from '@urvek/contract';
import { SIMULATED, type Column, type NotebookRow } from './columns.ts';
import * as phrases from './phrases.ts';

type Cells = Partial<Record<Column, string>>;

const WAY: Readonly<Record<Direction, string>> = {
  'fixed-to-mobile': 'to-mobile',
  'mobile-to-fixed': 'to-fixed',
};

/** Figures as they were entered: no digit more than a double holds. */
const figure = (value: number): string => String(Number(value.toPrecision(12)));

/**
 * Walks as a notebook has them, a row an observation: what corrections have made of the logs. What was logged by itself
 * (a wheel, a location) is not written down, but for the places that marks give.
 */
export function rowsOfWalks(setup: Setup, walks: readonly StoredWalk[]): Pick<NotebookRow, 'cells'>[] {
  return walks.flatMap(({ header, log }, index) => {
    const product = setup.products.find((p) => p.id === header.productId);
    const rig = product?.rigs.find((r) => r.id === header.rigId);
    const path = setup.paths.find((p) => p.id === header.pathId);
    const effective = effectiveLog(log);
    const timed = !effective.some((e) => e.kind === 'begin' && e.body.untimed);
    // Of a walk that was written down no mark came by itself.
    const entries = effective.filter((e) => !isAutomatic(e) || (!timed && e.kind === 'mark'));
    const rows: Cells[] = [];
    for (const event of entries) {
      const said = cellsOf(event);
      if (!said) continue;
      const last = rows.at(-1);
      // What was logged at one place stands in one row, as long as no cell is said twice.
      if (last && !('event' in said) && !('at' in said) && fits(last, said))
        Object.assign(last, merged(last, said));
      else rows.push({ ...said, ...(timed ? { time: timeOf(event) } : {}) });
    }
    const begun = effective.find((e) => e.kind === 'begin')?.body;
    const simulated = begun?.simulatedSeed !== undefined;
    const gradedBy = begun?.conditions?.gradedBy;
    const whole: Cells = {
      walk: String(index + 1),
      ...(header.undated ? {} : { date: dayOf(header.startedMs) }),
      product: product?.name ?? header.productId,
      rig: rig?.name ?? header.rigId,
      path: path?.name ?? header.pathId,
      ...(gradedBy === undefined ? {} : { graded_by: gradedBy }),
      ...(simulated ? { provenance: SIMULATED } : {}),
    };
    return rows.map((cells) => ({ cells: { ...whole, ...cells } }));
  });
}

/** The same remark of both directions is one row of both. */
function fits(row: Cells, said: Cells): boolean {
  if (row.event === 'end' || row.event === 'turn') return false;
  if (said.direction !== undefined && row.direction !== undefined && said.direction !== row.direction)
    return (
      row.direction !== 'both' &&
      said.grade !== undefined &&
      said.grade === row.grade &&
      said.hits === row.hits
    );
  return (Object.keys(said) as Column[]).every((c) => c === 'direction' || row[c] === undefined);
}

const merged = (row: Cells, said: Cells): Cells =>
  said.direction !== undefined && row.direction !== undefined && said.direction !== row.direction
    ? { direction: 'both' }
    : said;

/** Days and times of the device that writes them, as those that are read. */
const two = (n: number): string => String(n).padStart(2, '0');
const dayOf = (ms: number): string => {
  const at = new Date(ms);
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
};
const timeOf = ({ time }: WalkEvent): string => {
  const at = new Date(time.wallMs);
  return [at.getHours(), at.getMinutes(), at.getSeconds()].map(two).join(':');
};

const placeOf = (reading: DistanceReading | undefined): Cells =>
  reading ? { at: `${figure(reading.travelledM)} m`, method: reading.method } : {};

function cellsOf(event: WalkEvent): Cells | undefined {
  switch (event.kind) {
    case 'begin': {
      const { reading, baselineGrade, direction } = event.body;
      return {
        event: 'begin',
        direction: WAY[direction],
        ...placeOf(reading),
        ...(baselineGrade === undefined ? {} : { grade: String(baselineGrade) }),
      };
    }
    case 'mark': {
      const { reading, name } = event.body;
      return {
        ...(reading ? placeOf(reading) : { at: '?' }),
        ...(name === undefined || name === 'place unknown' ? {} : { point: name }),
      };
    }
    case 'call':
      return {
        direction: WAY[event.body.direction],
        grade: String(event.body.grade),
        ...(event.body.tries > 1 ? { tries: String(event.body.tries) } : {}),
      };
    case 'hits':
      return {
        ...(event.body.direction ? { direction: WAY[event.body.direction] } : {}),
        tries: String(event.body.presses),
        hits: String(event.body.hits),
      };
    case 'grade':
      return { grade: String(event.body.grade) };
    case 'dropoutBegin':
      return { event: 'dropout' };
    case 'dropoutEnd':
      return { event: 'back' };
    case 'turn':
      return { event: 'turn', ...placeOf(event.body.reading) };
    case 'fixedEnd':
      return { event: 'fixed end moved', ...placeOf(event.body.reading) };
    case 'reconnected':
      return event.body.how === 'by itself'
        ? { event: 'back', remark: 'by itself' }
        : { event: event.body.how === 'after power-cycle' ? 'reset' : 're-paired' };
    case 'tried':
      return {
        event: 'tried',
        tries: String(event.body.tries),
        hits: String(event.body.tries - event.body.failed),
      };
    case 'rung':
      return {
        rung: `${event.body.rung} ${event.body.worked ? 'worked' : 'failed'}`,
        direction: WAY[event.body.direction],
      };
    case 'measured':
      return measuredCells(event.body);
    case 'note':
      return { remark: event.body.text };
    case 'landmark':
      if (event.body.what === 'hand-over')
        return { event: event.body.name === undefined ? 'hand-over' : `hand-over: ${event.body.name}` };
      return { remark: [event.body.what, event.body.name].filter((t) => t !== undefined).join(' ') };
    case 'readBack':
      return { remark: phrases.readBackHeard(event.body.sent, event.body.heard) };
    case 'leftOut':
      return event.body.reason === undefined ? undefined : { remark: phrases.leftOut(event.body.reason) };
    case 'end':
      return {
        event: event.body.reason === 'not stated' ? 'end' : `end: ${event.body.reason}`,
        ...placeOf(event.body.reading),
      };
    // Of clocks, other devices and what was amended: nothing that somebody would write down.
    case 'goOn':
    case 'gap':
    case 'fix':
    case 'against':
    case 'outing':
    case 'joined':
    case 'clock':
    case 'shared':
    case 'recording':
    case 'beacon':
    case 'correction':
      return undefined;
  }
}

const COLUMN: Readonly<Record<Exclude<Quantity, 'throughput' | 'bars'>, Column>> = {
  'round trip': 'rtt_ms',
  'round-trip variation': 'rtt_variation_ms',
  jitter: 'jitter_ms',
  loss: 'loss_pct',
  level: 'level_dbm',
  'level change': 'level_change_db',
};

/** A notebook has no column for bars: they stand in the remark. */
function measuredCells(body: EventBodies['measured']): Cells {
  const { quantity, value, direction, network, band = network } = body;
  const said = value === undefined ? 'no connection' : figureSaid(body, value);
  const around: Cells = {
    ...(band === undefined ? {} : { band }),
    ...(body.cell === undefined ? {} : { cell: body.cell }),
    ...(body.server === undefined ? {} : { server: body.server }),
    ...(body.instrument === undefined ? {} : { instrument: body.instrument }),
    ...(body.heightM === undefined ? {} : { height_m: figure(body.heightM) }),
    ...(body.provenance === undefined ? {} : { provenance: body.provenance }),
  };
  if (quantity === 'bars') return { remark: `${quantity}: ${said}`, ...around };
  const column =
    quantity === 'throughput'
      ? direction === 'fixed-to-mobile'
        ? 'down_mbps'
        : 'up_mbps'
      : COLUMN[quantity];
  return { [column]: said, ...around };
}

/** "125-150" where the needle moved, "100 MB in 38 s" of a transfer, "over 25" of a stream that ran smoothly. */
function figureSaid({ least, most, bound, transfer }: EventBodies['measured'], value: number): string {
  if (transfer) return `${figure(transfer.bytes)} B in ${figure(transfer.seconds)} s`;
  if (bound) return `${bound === 'at least' ? 'over' : 'under'} ${figure(value)}`;
  return least !== undefined && most !== undefined ? `${figure(least)} to ${figure(most)}` : figure(value);
}
