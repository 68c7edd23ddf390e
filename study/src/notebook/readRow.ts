import {
  DISTANCE_METHODS,
  END_REASONS,
  kindOf,
  placedNames,
  PROVENANCES,
  readWords,
  RUNGS,
  writtenFigure,
  type Direction,
  type DistanceMethod,
  type DistanceReading,
  type EndReason,
  type EventBodies,
  type Grade,
  type LengthUnit,
  type Saying,
  type WrittenPlace,
  measuredTrouble,
} from '@urvek/core';
import { cutText, type Product } from '@urvek/contract';
import type { SetupPath } from '../results/findings.ts';
import { SIMULATED, type Column, type NotebookRow } from './columns.ts';
import { readAt, unitOf } from './readAt.ts';
import * as phrases from './phrases.ts';

/** What is in the way of a row: it is wrong, or can be read two ways and is asked about. */
export interface RowProblem {
  readonly line: number;
  readonly column: Column | undefined;
  readonly what: string;
  readonly asked: boolean;
}

export class RowTrouble extends Error {
  constructor(
    readonly column: Column | undefined,
    what: string,
    readonly asked = false,
  ) {
    super(what);
  }
}

/** What a row can say happened, by how people write it. */
export const ROW_EVENTS = {
  begin: /^(begin|began|start|started)$/,
  mark: /^(mark|marked|here)$/,
  'first reached': /^(first reached|first heard|first contact|in range)$/,
  'fixed end moved': /^(fixed end moved|base moved|moved the fixed end)$/,
  dropout: /^(dropout|drop out|dropped out|lost|drop)$/,
  back: /^(back|back again|came back|regained|restored)$/,
  turn: /^(turn|turned|turn round|turned round|turned back)$/,
  reset: /^(reset|power.?cycled?|restart(ed)?)$/,
  're-paired': /^(re-?paired|paired again)$/,
  'hand-over': /^(?:hand-?over|handed over|roamed)(?:(?: to|:|,) (.+))?$/i,
  tried: /^(tried|tries)$/,
  end: /^(end|ended|stop|stopped|finished)(?:[:,]? (.+))?$/,
  failed: /^(failed|failure)(,? place unknown)?$/,
} as const;
export type RowEvent = keyof typeof ROW_EVENTS;
export const ROW_EVENT_NAMES = Object.keys(ROW_EVENTS) as readonly RowEvent[];

/** A row, read. */
export interface Observation {
  readonly line: number;
  readonly reading: DistanceReading | undefined;
  readonly side: WrittenPlace['side'];
  readonly point: string | undefined;
  readonly directions: readonly Direction[];
  readonly grade: Grade | undefined;
  readonly tries: number | undefined;
  readonly hits: number | undefined;
  readonly rung: Pick<EventBodies['rung'], 'rung' | 'worked'> | undefined;
  readonly measured: readonly EventBodies['measured'][];
  readonly event: RowEvent | undefined;
  readonly endReason: EndReason;
  /** Of a hand-over: what the link changed to. */
  readonly handOverTo: string | undefined;
  /** As it was written. */
  readonly time: string | undefined;
  readonly note: string;
}

export interface RowContext {
  readonly product: Product;
  readonly path: SetupPath;
  /** For figures without a unit. */
  readonly unit: LengthUnit | undefined;
  readonly method: DistanceMethod;
  /** What this comparison has added to the table of sayings. */
  readonly sayings: readonly Saying[];
}

const DIRECTION_WORDS: readonly (readonly [RegExp, readonly Direction[]])[] = [
  [/^(to[- ]mobile|fixed[- ]to[- ]mobile|outbound|base to me|i hear)$/, ['fixed-to-mobile']],
  [/^(to[- ]fixed|mobile[- ]to[- ]fixed|inbound|me to base|they hear)$/, ['mobile-to-fixed']],
  [/^(both|both ways|two-way)$/, ['fixed-to-mobile', 'mobile-to-fixed']],
];

/** Figures of an instrument: column, quantity, and whose direction where the column says it. */
const FIGURES: readonly (readonly [Column, EventBodies['measured']['quantity'], Direction | undefined])[] = [
  ['down_mbps', 'throughput', 'fixed-to-mobile'],
  ['up_mbps', 'throughput', 'mobile-to-fixed'],
  ['rtt_ms', 'round trip', undefined],
  ['rtt_variation_ms', 'round-trip variation', undefined],
  ['jitter_ms', 'jitter', undefined],
  ['loss_pct', 'loss', undefined],
  ['level_dbm', 'level', undefined],
  ['level_change_db', 'level change', undefined],
];
/** Signs of a band or access point, and of what stands around a reading. */
const LONGEST_NETWORK = 60;
const LONGEST_AROUND = 120;
/** An instrument that found no connection. */
const NO_CONNECTION = /^(no connection|none|no link|failed)$/i;

/** What stands around a figure; in a row without one it is kept in words. */
const AROUND: readonly Column[] = ['server', 'instrument', 'height_m', 'provenance'];

/** Reads a row. @throws RowTrouble with the column where it is wrong or can be read two ways */
export function readRow({ line, cells }: NotebookRow, context: RowContext): Observation {
  const { product, path } = context;
  const kind = kindOf(product.kindId);
  if (cells.provenance?.toLowerCase().startsWith(SIMULATED))
    throw new RowTrouble('provenance', phrases.simulatedItIsNoWalkThat);
  const { event, endReason, handOverTo } = eventOf(cells.event);
  const method = methodOf(cells.method) ?? context.method;
  const place = placeOf(cells, method, context);
  const graded = gradeOf(cells, kind.id, context.sayings);
  const [tries, hits] = [whole(cells.tries, 'tries'), whole(cells.hits, 'hits')];
  if (hits !== undefined && (tries === undefined || hits > tries))
    throw new RowTrouble('hits', phrases.hitsOfTries(hits, tries ?? 'how many'));
  if (tries !== undefined && event !== 'tried' && hits === undefined && graded.grade === undefined)
    throw new RowTrouble('hits', phrases.howManyOfWereAnswered(tries), true);
  if (tries !== undefined && tries > MOST_TRIES && (hits === undefined || event === 'tried'))
    throw new RowTrouble('tries', phrases.triesInARowAtMost(tries, MOST_TRIES));
  const directions = directionsOf(cells.direction) ?? [kind.direction];
  const measured = FIGURES.flatMap(([column, quantity, own]) =>
    figureOf(cells, column, quantity, own ? [own] : directions.slice(0, 1)),
  );
  const rung = rungOf(cells.rung);
  if (event === 'fixed end moved' && !place.reading)
    throw new RowTrouble('at', phrases.theFixedEndMovedWhereTo);
  const observation: Observation = {
    line,
    ...place,
    directions,
    grade: graded.grade,
    tries,
    hits,
    rung,
    measured,
    event,
    endReason,
    handOverTo,
    time: cells.time,
    note: [
      graded.from,
      place.side === 'at' ? undefined : cells.at,
      cells.remark,
      ...(measured.length > 0 ? [] : AROUND.map((c) => cells[c] && `${c}: ${cells[c]}`)),
    ]
      .filter((t) => t !== undefined && t !== '')
      .join('; '),
  };
  if (!event && graded.grade === undefined && tries === undefined && !rung && measured.length === 0) {
    if (observation.note === '' && !observation.reading && observation.point === undefined)
      throw new RowTrouble(undefined, phrases.thisRowSaysNothingThatIs);
  }
  if (observation.reading && observation.reading.travelledM > farthest(path) + 1)
    throw new RowTrouble(
      'at',
      phrases.mLiesBeyondWhichEndsAt(
        observation.reading.travelledM.toFixed(1),
        path.name,
        farthest(path).toFixed(1),
      ),
    );
  return observation;
}

/** Nobody walks farther: a slip of the unit, m. */
const MOST_M = 1e6;

const farthest = (path: SetupPath): number =>
  Math.min(
    MOST_M,
    path.legs.reduce((sum, l) => sum + l.lengthM, 0),
  );

function placeOf(
  cells: NotebookRow['cells'],
  method: DistanceMethod,
  { path, unit }: RowContext,
): Pick<Observation, 'reading' | 'side' | 'point'> {
  const point = cells.point;
  if (cells.at === undefined) {
    const known = point === undefined ? undefined : readAt(point, method, 'm', placedNames(path));
    // A point of the path has its distance already.
    return known && 'side' in known && known.point === point
      ? { reading: known.reading, side: 'at', point }
      : { reading: undefined, side: 'at', point };
  }
  if (unit === undefined && /^[\d.,~<>\s–-]+(ish)?$/i.test(cells.at) && /\d/.test(cells.at))
    throw new RowTrouble('at', phrases.hasNoUnitSayWhichOne(cells.at), true);
  const read = readAt(cells.at, method, unit ?? 'm', placedNames(path));
  if ('ask' in read) throw new RowTrouble('at', read.ask, true);
  return { reading: read.reading, side: read.side, point: point ?? read.point };
}

function eventOf(text: string | undefined): Pick<Observation, 'event' | 'endReason' | 'handOverTo'> {
  const noMore = { endReason: 'not stated', handOverTo: undefined } as const;
  if (text === undefined) return { event: undefined, ...noMore };
  const tidy = text.trim().toLowerCase();
  const event = ROW_EVENT_NAMES.find((e) => ROW_EVENTS[e].test(tidy));
  if (!event)
    throw new RowTrouble('event', phrases.isNothingThatCanBeLogged(text, ROW_EVENT_NAMES.join(', ')));
  const why = event === 'end' ? ROW_EVENTS.end.exec(tidy)?.[2] : undefined;
  const to = event === 'hand-over' ? ROW_EVENTS['hand-over'].exec(text.trim())?.[1] : undefined;
  if (why === undefined) return { event, ...noMore, handOverTo: to && cutText(to, LONGEST_NETWORK) };
  const endReason = END_REASONS.find((r) => r === why);
  if (!endReason) throw new RowTrouble('event', phrases.isNoReasonToEndThere(why, END_REASONS.join(', ')));
  return { event, ...noMore, endReason };
}

function methodOf(text: string | undefined): DistanceMethod | undefined {
  if (text === undefined) return undefined;
  const tidy = text.toLowerCase().trim();
  const found = DISTANCE_METHODS.find((m) => m === tidy);
  if (!found) throw new RowTrouble('method', phrases.isNoWayToComeBy(text, DISTANCE_METHODS.join(', ')));
  return found;
}

function directionsOf(text: string | undefined): readonly Direction[] | undefined {
  if (text === undefined) return undefined;
  const found = DIRECTION_WORDS.find(([words]) => words.test(text.toLowerCase().trim()))?.[1];
  if (!found) throw new RowTrouble('direction', phrases.isNoDirectionThereAreTo(text));
  return found;
}

function gradeOf(
  cells: NotebookRow['cells'],
  kindId: string,
  sayings: readonly Saying[],
): { grade: Grade | undefined; from: string | undefined } {
  if (cells.grade !== undefined) {
    if (!/^[1-5]$/.test(cells.grade)) throw new RowTrouble('grade', phrases.isNoGrade1To5(cells.grade));
    return { grade: Number(cells.grade) as Grade, from: cells.words };
  }
  if (cells.words === undefined) return { grade: undefined, from: undefined };
  const read = readWords(cells.words, kindId, sayings);
  if (read && 'grade' in read) return { grade: read.grade, from: cells.words };
  if (read) {
    const likely = read.likely === undefined ? '' : `; likely ${read.likely}`;
    throw new RowTrouble('words', phrases.enterItUnderGrade(read.ask, likely), true);
  }
  throw new RowTrouble('words', phrases.noGradeIsKnownForEnter(cells.words), true);
}

/** Presses that are counted at one place, and tries that are told of one call. */
const MOST_PRESSES = 1000;
const MOST_TRIES = 99;

function whole(text: string | undefined, column: Column): number | undefined {
  if (text === undefined) return undefined;
  const least = column === 'tries' ? 1 : 0;
  if (!/^\d{1,6}$/.test(text) || Number(text) < least || Number(text) > MOST_PRESSES)
    throw new RowTrouble(column, phrases.isNotAWholeNumberFrom(text, least, MOST_PRESSES));
  return Number(text);
}

function rungOf(text: string | undefined): Observation['rung'] {
  if (text === undefined) return undefined;
  const [, name = '', how] = /^(\p{L}+)(?:[ ,:]+(worked|failed|yes|no))?$/iu.exec(text.trim()) ?? [];
  const rung = RUNGS.find((r) => r === name.toLowerCase());
  if (!rung) throw new RowTrouble('rung', phrases.isNoRungThereAreWorked(text, RUNGS.join(', ')));
  return { rung, worked: how === undefined || /^(worked|yes)$/i.test(how) };
}

function figureOf(
  cells: NotebookRow['cells'],
  column: Column,
  quantity: EventBodies['measured']['quantity'],
  directions: readonly Direction[],
): EventBodies['measured'][] {
  const text = cells[column];
  if (text === undefined) return [];
  const of = { quantity, ...aroundOf(cells) };
  const isNone = NO_CONNECTION.test(text) || (quantity === 'throughput' && Number(text) === 0);
  if (isNone) return directions.map((direction) => ({ ...of, direction }));
  const read = writtenFigure(text, quantity);
  if (!read) throw new RowTrouble(column, phrases.isNoFigureAndNotNo(text));
  const body = { ...of, ...read };
  const trouble = measuredTrouble({ ...body, direction: 'fixed-to-mobile' });
  if (trouble !== undefined) throw new RowTrouble(column, trouble);
  return directions.map((direction) => ({ ...body, direction }));
}

/** Band and cell, server, instrument, height and provenance of a row. @throws RowTrouble */
function aroundOf(cells: NotebookRow['cells']): Partial<EventBodies['measured']> {
  const said = (name: 'band' | 'cell' | 'server' | 'instrument', most: number) =>
    cells[name] === undefined ? {} : { [name]: cutText(cells[name], most) };
  return {
    ...said('band', LONGEST_NETWORK),
    ...said('cell', LONGEST_NETWORK),
    ...said('server', LONGEST_AROUND),
    ...said('instrument', LONGEST_AROUND),
    ...heightOf(cells.height_m),
    ...provenanceOf(cells.provenance),
  };
}

function heightOf(text: string | undefined): Partial<EventBodies['measured']> {
  if (text === undefined) return {};
  const heightM = Number(text.replace(',', '.').replace(/\s*m$/, ''));
  if (!(Math.abs(heightM) <= 10_000)) throw new RowTrouble('height_m', phrases.isNoHeightInMetres(text));
  return { heightM };
}

function provenanceOf(text: string | undefined): Partial<EventBodies['measured']> {
  if (text === undefined) return {};
  const provenance = PROVENANCES.find((p) => p === text.trim().toLowerCase());
  if (!provenance)
    throw new RowTrouble('provenance', phrases.isNoProvenanceThereAre(text, PROVENANCES.join(', ')));
  return { provenance };
}

/** The unit that a row's table says for figures without one. @throws RowTrouble for one that is none */
export function unitOfRow(text: string | undefined): LengthUnit | undefined {
  if (text === undefined) return undefined;
  const unit = unitOf(text);
  if (!unit) throw new RowTrouble('at', phrases.isNoUnitOfLengthM(text));
  return unit;
}
