import {
  DIRECTIONS,
  FormatError,
  formatLength,
  gradeOfWords,
  isNearer,
  kindOf,
  looksMisread,
  parsePlace,
  placedNames,
  parseRecords,
  pathLengthM,
  type Direction,
  type DistanceMethod,
  UnknownPoint,
  type DistanceReading,
  type EventBodies,
  type Grade,
  type LengthUnit,
  type WalkEvent,
  type WrittenPlace,
} from '@urvek/core';
import { cutText, type Product, type Setup, type StoredWalk } from '@urvek/contract';
import type { SetupPath } from '../results/findings.ts';
import * as phrases from './phrases.ts';

/** So many signs of what stands beside a row are kept; a note holds twice as many units. */
const MOST_WORDS = 1000;

/** What a column of somebody's spreadsheet can mean. */
export const SHEET_FIELDS = [
  'product',
  'path',
  'walk',
  'distance',
  'place',
  'direction',
  'grade',
  'presses',
  'hits',
  'date',
  'note',
] as const;
export type SheetField = (typeof SHEET_FIELDS)[number];
export type SheetMapping = Readonly<Partial<Record<SheetField, string>>>;

export interface Sheet {
  readonly columns: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

const MOST_ROWS = 20_000;

/** Comma, semicolon or tab: what the first line has most of. @throws FormatError */
export function readSheet(text: string): Sheet {
  const first = text.slice(0, text.indexOf('\n') === -1 ? undefined : text.indexOf('\n'));
  const [delimiter = ','] = [',', ';', '\t'].sort((a, b) => first.split(b).length - first.split(a).length);
  const [header, ...rows] = parseRecords(text, delimiter);
  if (!header) throw new FormatError(1, undefined, phrases.theFileIsEmptyAHeader);
  if (rows.length > MOST_ROWS)
    throw new FormatError(rows[MOST_ROWS]?.line ?? 1, undefined, phrases.moreThanRows(MOST_ROWS));
  return { columns: header.cells.map((c) => c.trim()), rows };
}

const GUESSES: Readonly<Record<SheetField, RegExp>> = {
  product: /product|device|model|brand/i,
  path: /path|route|site|where/i,
  walk: /walk|run|test|attempt|no\.?$/i,
  distance: /dist|range|metre|meter|feet|\bm\b|\bft\b/i,
  place: /place|point|post|stand|checkpoint|room|spot/i,
  direction: /direction|way|who/i,
  grade: /grade|quality|result|verdict|score|rating/i,
  presses: /press|tries|of$|shots/i,
  hits: /hits|success|answered|worked/i,
  date: /date|day/i,
  note: /note|comment|remark/i,
};

/** A mapping to start from, by the names of the columns. */
export function guessMapping({ columns }: Sheet): SheetMapping {
  const free = [...columns];
  return Object.fromEntries(
    SHEET_FIELDS.flatMap((field) => {
      const at = free.findIndex((c) => GUESSES[field].test(c));
      return at === -1 ? [] : [[field, free.splice(at, 1)[0]]];
    }),
  );
}

export interface SheetOptions {
  /** For figures without a unit. */
  readonly unit: LengthUnit;
  readonly method: DistanceMethod;
  /** What distances that fall are: the way back, or rows that are not in the order of walking. */
  readonly falling: 'the way back' | 'rows out of order';
}

export interface SheetProblem {
  readonly line: number;
  readonly column: string | undefined;
  readonly what: string;
}

interface SheetPoint {
  readonly line: number;
  /** Absent: nobody knows where. */
  readonly reading: DistanceReading | undefined;
  /** Beyond what is written, or short of it. */
  readonly side: WrittenPlace['side'];
  readonly name: string;
  readonly direction: Direction | undefined;
  readonly grade: Grade | undefined;
  readonly presses: number | undefined;
  readonly hits: number | undefined;
  readonly note: string;
  /** Words that a grade was read from. */ readonly from: string | undefined;
}

export interface SheetWalk {
  readonly product: Product;
  readonly path: SetupPath;
  readonly label: string;
  /** The day it was walked, ms since 1970; absent: not stated. */
  readonly dayMs: number | undefined;
  readonly points: readonly SheetPoint[];
  /** Where the way back is taken to begin: the index of its first point. */
  readonly backFrom: number | undefined;
}

export interface SheetPreview {
  readonly problems: readonly SheetProblem[];
  readonly walks: readonly SheetWalk[];
}

class RowProblem extends Error {
  constructor(
    readonly column: string | undefined,
    message: string,
  ) {
    super(message);
  }
}

/** What would be imported, and everything that is in the way; nothing is while something is. */
export function previewSheet(
  setup: Setup,
  sheet: Sheet,
  mapping: SheetMapping,
  options: SheetOptions,
): SheetPreview {
  const problems: SheetProblem[] = [];
  const walks = new Map<string, SheetWalk>();
  if (mapping.distance === undefined && mapping.place === undefined)
    problems.push({ line: 1, column: undefined, what: phrases.sayWhichColumnIsTheDistance });
  else {
    for (const row of sheet.rows) {
      try {
        const { product, path, label, dayMs, point } = readPoint(setup, sheet, row, mapping, options);
        const key = `${product.id}/${path.id}/${label}`;
        const walk = walks.get(key);
        walks.set(key, {
          product,
          path,
          label,
          dayMs: walk?.dayMs ?? dayMs,
          points: [...(walk?.points ?? []), point],
          backFrom: undefined,
        });
      } catch (error) {
        if (!(error instanceof RowProblem)) throw error;
        problems.push({ line: row.line, column: error.column, what: error.message });
      }
    }
  }
  for (const walk of walks.values()) problems.push(...misread(walk, mapping));
  return {
    problems: problems.sort((a, b) => a.line - b.line),
    walks: [...walks.values()].map((walk) => inOrder(walk, options)),
  };
}

/** The points in the order of walking, with the way back where distances fall. */
function inOrder(walk: SheetWalk, { falling }: SheetOptions): SheetWalk {
  const placed = walk.points.flatMap((p, i) => (p.reading ? [{ i, reading: p.reading }] : []));
  const farthest = placed.reduce<(typeof placed)[number] | undefined>(
    (a, b) => (a && a.reading.travelledM >= b.reading.travelledM ? a : b),
    undefined,
  );
  const back = farthest && placed.find((p) => p.i > farthest.i && isNearer(farthest.reading, p.reading));
  if (!back) return walk;
  if (falling === 'the way back') return { ...walk, backFrom: back.i };
  // What has no distance stays behind the point that it followed.
  let last = -Infinity;
  const keyed = walk.points.map((p) => ({ p, at: (last = p.reading?.travelledM ?? last) }));
  return { ...walk, points: keyed.sort((a, b) => a.at - b.at).map(({ p }) => p) };
}

function readPoint(
  setup: Setup,
  { columns }: Sheet,
  { line, cells }: Sheet['rows'][number],
  mapping: SheetMapping,
  { unit, method }: SheetOptions,
): {
  product: Product;
  path: SetupPath;
  label: string;
  dayMs: number | undefined;
  point: SheetPoint;
} {
  if (cells.length !== columns.length)
    throw new RowProblem(undefined, phrases.fieldsWhereTheHeaderHas(cells.length, columns.length));
  const cell = (field: SheetField): string =>
    mapping[field] === undefined ? '' : (cells[columns.indexOf(mapping[field])] ?? '').trim();
  const named = <T extends { name: string }>(list: readonly T[], field: SheetField): T => {
    const only = list[0];
    if (mapping[field] === undefined && list.length === 1 && only) return only;
    const found = list.find((x) => x.name.toLowerCase() === cell(field).toLowerCase());
    if (!found)
      throw new RowProblem(
        mapping[field],
        phrases.noIsCalledThereAre(
          field,
          JSON.stringify(cell(field)),
          list.map((x) => x.name).join(', ') || 'none',
        ),
      );
    return found;
  };
  const product = named(setup.products, 'product');
  const path = named(setup.paths, 'path');
  const { reading, side, name } = placeOf(cell('distance'), method, unit, mapping.distance, path);
  const lengthM = pathLengthM(path);
  if (reading && reading.travelledM > lengthM + 1)
    throw new RowProblem(
      mapping.distance,
      phrases.mLiesBeyondWhichIsM(reading.travelledM.toFixed(1), path.name, lengthM.toFixed(1)),
    );
  const [presses, hits] = [count(cell('presses'), mapping.presses), count(cell('hits'), mapping.hits)];
  if ((presses === undefined) !== (hits === undefined))
    throw new RowProblem(mapping.hits, phrases.pressesAndHitsGoTogether);
  if (presses !== undefined && hits !== undefined && (presses < 1 || hits > presses))
    throw new RowProblem(mapping.hits, phrases.hitsOfPresses(hits, presses));
  const graded = gradeOfCell(cell('grade'), product.kindId, mapping.grade);
  if (graded.grade === undefined && presses === undefined)
    throw new RowProblem(mapping.grade, phrases.neitherAGradeNorPressesAnd);
  return {
    product,
    path,
    label: cell('walk') || '1',
    dayMs: dayOf(cell('date'), mapping.date),
    point: {
      line,
      reading,
      side,
      name: cell('place') || (name ?? ''),
      direction: directionOf(cell('direction'), mapping.direction),
      presses,
      hits,
      note: cell('note'),
      ...graded,
    },
  };
}

const ISO_DAY = /^\d{4}-\d\d-\d\d$/;

function dayOf(text: string, column: string | undefined): number | undefined {
  if (text === '') return undefined;
  const ms = ISO_DAY.test(text) ? Date.parse(`${text}T12:00:00Z`) : Number.NaN;
  if (!Number.isFinite(ms)) throw new RowProblem(column, phrases.isNotADayWriteIt(JSON.stringify(text)));
  return ms;
}

function directionOf(text: string, column: string | undefined): Direction | undefined {
  if (text === '') return undefined;
  const found = DIRECTIONS.find((d) => d === text.toLowerCase().replaceAll(' ', '-'));
  if (!found)
    throw new RowProblem(column, phrases.isNoDirectionThereAre(JSON.stringify(text), DIRECTIONS.join(', ')));
  return found;
}

/** An empty distance, like "?", is one that nobody knows: the row is kept. */
function placeOf(
  text: string,
  method: DistanceMethod,
  unit: LengthUnit,
  column: string | undefined,
  path: SetupPath,
): WrittenPlace & { readonly name?: string } {
  try {
    return parsePlace(text, method, unit, placedNames(path));
  } catch (error) {
    // Beside a point without a distance: it has its place in the order, and no metres.
    if (error instanceof UnknownPoint) return { reading: undefined, side: 'at', name: text };
    throw new RowProblem(column, phrases.isNotADistanceWrite40(JSON.stringify(text)));
  }
}

function count(text: string, column: string | undefined): number | undefined {
  if (text === '') return undefined;
  if (!/^\d{1,6}$/.test(text)) throw new RowProblem(column, phrases.isNotAWholeNumber(JSON.stringify(text)));
  return Number(text);
}

function gradeOfCell(
  text: string,
  kindId: string,
  column: string | undefined,
): { grade: Grade | undefined; from: string | undefined } {
  if (text === '') return { grade: undefined, from: undefined };
  if (/^[1-5]$/.test(text)) return { grade: Number(text) as Grade, from: undefined };
  const grade = gradeOfWords(text, kindId);
  if (grade === undefined)
    throw new RowProblem(
      column,
      phrases.isNoGradeOfWrite1(
        JSON.stringify(text),
        kindOf(kindId).name,
        JSON.stringify(kindOf(kindId).words[5]),
      ),
    );
  return { grade, from: text };
}

/** A point off both its neighbours is the odd one; one at an end, only where its neighbour is not. */
function misread({ points }: SheetWalk, mapping: SheetMapping): SheetProblem[] {
  const atM = (p: SheetPoint | undefined): number | undefined => p?.reading?.travelledM;
  const off = points.map((p, i) => {
    const near = [atM(points[i - 1]), atM(points[i + 1])].filter((m): m is number => m !== undefined);
    const own = atM(p);
    return own !== undefined && near.length > 0 && looksMisread(own, near);
  });
  const atEnd = (i: number): boolean => i === 0 || i === points.length - 1;
  return points.flatMap((p, i) =>
    off[i] && (!atEnd(i) || !off[i === 0 ? 1 : i - 1] || points.length === 2)
      ? [
          {
            line: p.line,
            column: mapping.distance,
            what: phrases.mIsAThousandTimesOff(atM(p)),
          },
        ]
      : [],
  );
}

/** From one entry to the next on the clock of a walk without times: it orders, and tells no seconds. */
const TICK_S = 1;

/** Not heard, or of no use. */
const isBad = (p: SheetPoint): boolean =>
  p.grade !== undefined ? p.grade <= 2 : (p.hits ?? 0) < (p.presses ?? 0) / 2;

/**
 * Where a point says that it held or failed. Beyond what is written it surely held there, and failed at a
 * place that nobody knows; short of it, it surely failed there, and held nowhere that is known.
 */
function placeToLog(p: SheetPoint): DistanceReading | undefined {
  if (p.side === 'at') return p.reading;
  return (p.side === 'over') === isBad(p) ? undefined : p.reading;
}

/**
 * The walks of a preview as logs of one device; ids are passed in. What the table does not say is not
 * stated: times, the day, the beginning, the reason of the end. `nowMs` only orders.
 */
export function walksOfSheet(
  preview: SheetPreview,
  comparisonId: string,
  newId: () => string,
  nowMs: number,
): StoredWalk[] {
  if (preview.problems.length > 0) throw new RangeError(`invalid sheet: ${preview.problems.length} problems`);
  const deviceId = newId();
  let seq = 0;
  return preview.walks.map(({ product, path, points, dayMs, backFrom }, k) => {
    const walkId = newId();
    const startedMs = (dayMs ?? nowMs) + k;
    const { direction: usual } = kindOf(product.kindId);
    let atS = 0;
    const event = <K extends WalkEvent['kind']>(kind: K, body: EventBodies[K]): WalkEvent => {
      const walkS = atS;
      atS += TICK_S;
      return {
        walkId,
        deviceId,
        seq: ++seq,
        version: 1,
        kind,
        body,
        time: { walkS, rate: 1, inputMs: walkS * 1000, originMs: startedMs, wallMs: startedMs + walkS },
      } as WalkEvent;
    };
    const begin = event('begin', {
      direction: points.find((p) => p.direction)?.direction ?? usual,
      mode: points.some((p) => p.presses !== undefined) ? 'hits' : 'stop and call',
      untimed: true,
    });
    const log = points.flatMap((p, i): WalkEvent[] => {
      const direction = p.direction ?? usual;
      const reading = placeToLog(p);
      // Short of a distance and good, or beside no look at all: said, and no hold.
      const silent = p.side === 'under' && !isBad(p);
      const name = p.name || (reading ? formatLength(reading.travelledM) : 'place unknown');
      const words = cutText(
        [
          p.from,
          p.side === 'at' ? undefined : `${p.side} ${formatLength(p.reading?.travelledM ?? 0)}`,
          p.note,
        ]
          .filter((t) => t !== undefined && t !== '')
          .join('; '),
        MOST_WORDS,
      );
      return [
        ...(backFrom === i ? [event('turn', {})] : []),
        event('mark', { ...(reading ? { reading: { ...reading, pressed: false } } : {}), name }),
        ...(p.grade === undefined || silent
          ? []
          : [event('call', { checkpoint: name, direction, grade: p.grade, tries: 1 })]),
        ...(p.presses === undefined || p.hits === undefined || silent
          ? []
          : [event('hits', { presses: p.presses, hits: p.hits, direction })]),
        ...(words === '' ? [] : [event('note', { text: words })]),
      ];
    });
    return {
      header: {
        id: walkId,
        comparisonId,
        productId: product.id,
        rigId: product.rigs[0]?.id ?? '',
        pathId: path.id,
        startedMs,
        ...(dayMs === undefined ? { undated: true } : {}),
      },
      log: [begin, ...log, event('end', { reason: 'not stated' })],
    };
  });
}
