import {
  FormatError,
  gradeOfWords,
  kindOf,
  looksMisread,
  parseLength,
  parseRecords,
  pathLengthM,
  WALKING_MPS,
  type DistanceMethod,
  type EventBodies,
  type Grade,
  type LengthUnit,
  type WalkEvent,
} from '@urvek/core';
import type { Product, Setup, StoredWalk } from '@urvek/contract';
import type { SetupPath } from '../results/findings.ts';

/** What a column of somebody's spreadsheet can mean. */
export const SHEET_FIELDS = [
  'product',
  'path',
  'walk',
  'distance',
  'grade',
  'presses',
  'hits',
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
  if (!header) throw new FormatError(1, undefined, 'the file is empty; a header is required');
  if (rows.length > MOST_ROWS)
    throw new FormatError(rows[MOST_ROWS]?.line ?? 1, undefined, `more than ${MOST_ROWS} rows`);
  return { columns: header.cells.map((c) => c.trim()), rows };
}

const GUESSES: Readonly<Record<SheetField, RegExp>> = {
  product: /product|device|model|brand/i,
  path: /path|route|site|place|where/i,
  walk: /walk|run|test|attempt|no\.?$/i,
  distance: /dist|range|metre|meter|feet|\bm\b|\bft\b/i,
  grade: /grade|quality|result|verdict|score|rating/i,
  presses: /press|tries|of$|shots/i,
  hits: /hits|success|answered|worked/i,
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
}

export interface SheetProblem {
  readonly line: number;
  readonly column: string | undefined;
  readonly what: string;
}

interface SheetPoint {
  readonly line: number;
  readonly atM: number;
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
  readonly points: readonly SheetPoint[];
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
  if (mapping.distance === undefined)
    problems.push({ line: 1, column: undefined, what: 'say which column is the distance' });
  else {
    for (const row of sheet.rows) {
      try {
        const { product, path, label, point } = readPoint(setup, sheet, row, mapping, options);
        const key = `${product.id}/${path.id}/${label}`;
        const walk = walks.get(key);
        walks.set(key, { product, path, label, points: [...(walk?.points ?? []), point] });
      } catch (error) {
        if (!(error instanceof RowProblem)) throw error;
        problems.push({ line: row.line, column: error.column, what: error.message });
      }
    }
  }
  for (const walk of walks.values()) problems.push(...misread(walk, mapping));
  return { problems: problems.sort((a, b) => a.line - b.line), walks: [...walks.values()] };
}

function readPoint(
  setup: Setup,
  { columns }: Sheet,
  { line, cells }: Sheet['rows'][number],
  mapping: SheetMapping,
  { unit }: SheetOptions,
): { product: Product; path: SetupPath; label: string; point: SheetPoint } {
  if (cells.length !== columns.length)
    throw new RowProblem(undefined, `${cells.length} fields where the header has ${columns.length}`);
  const cell = (field: SheetField): string =>
    mapping[field] === undefined ? '' : (cells[columns.indexOf(mapping[field])] ?? '').trim();
  const named = <T extends { name: string }>(list: readonly T[], field: SheetField): T => {
    const only = list[0];
    if (mapping[field] === undefined && list.length === 1 && only) return only;
    const found = list.find((x) => x.name.toLowerCase() === cell(field).toLowerCase());
    if (!found)
      throw new RowProblem(
        mapping[field],
        `no ${field} is called ${JSON.stringify(cell(field))}; there are ${list.map((x) => x.name).join(', ') || 'none'}`,
      );
    return found;
  };
  const product = named(setup.products, 'product');
  const path = named(setup.paths, 'path');
  const atM = distanceOf(cell('distance'), unit, mapping.distance);
  const lengthM = pathLengthM(path);
  if (atM > lengthM + 1)
    throw new RowProblem(
      mapping.distance,
      `${atM.toFixed(1)} m lies beyond ${path.name}, which is ${lengthM.toFixed(1)} m long`,
    );
  const [presses, hits] = [count(cell('presses'), mapping.presses), count(cell('hits'), mapping.hits)];
  if ((presses === undefined) !== (hits === undefined))
    throw new RowProblem(mapping.hits, 'presses and hits go together');
  if (presses !== undefined && hits !== undefined && (presses < 1 || hits > presses))
    throw new RowProblem(mapping.hits, `${hits} hits of ${presses} presses`);
  const graded = gradeOfCell(cell('grade'), product.kindId, mapping.grade);
  if (graded.grade === undefined && presses === undefined)
    throw new RowProblem(
      mapping.grade,
      'neither a grade nor presses and hits: a point without a result says nothing',
    );
  return {
    product,
    path,
    label: cell('walk') || '1',
    point: { line, atM, presses, hits, note: cell('note'), ...graded },
  };
}

function distanceOf(text: string, unit: LengthUnit, column: string | undefined): number {
  if (text === '')
    throw new RowProblem(column, 'no distance: a failed point without one is worth asking for');
  try {
    return parseLength(text, unit).valueM;
  } catch {
    throw new RowProblem(column, `${JSON.stringify(text)} is not a distance`);
  }
}

function count(text: string, column: string | undefined): number | undefined {
  if (text === '') return undefined;
  if (!/^\d{1,6}$/.test(text)) throw new RowProblem(column, `${JSON.stringify(text)} is not a whole number`);
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
      `${JSON.stringify(text)} is no grade of ${kindOf(kindId).name}: write 1 to 5, or words such as ${JSON.stringify(kindOf(kindId).words[5])}`,
    );
  return { grade, from: text };
}

/** A point off both its neighbours is the odd one; one at an end, only where its neighbour is not. */
function misread({ points }: SheetWalk, mapping: SheetMapping): SheetProblem[] {
  const off = points.map((p, i) => {
    const near = [points[i - 1]?.atM, points[i + 1]?.atM].filter((m): m is number => m !== undefined);
    return near.length > 0 && looksMisread(p.atM, near);
  });
  const atEnd = (i: number): boolean => i === 0 || i === points.length - 1;
  return points.flatMap((p, i) =>
    off[i] && (!atEnd(i) || !off[i === 0 ? 1 : i - 1] || points.length === 2)
      ? [
          {
            line: p.line,
            column: mapping.distance,
            what: `${p.atM} m is a thousand times off its neighbours: another unit?`,
          },
        ]
      : [],
  );
}

/** Standing at a point, s. */
const STAND_S = 10;

/**
 * The walks of a preview as logs of one device; ids are passed in. `begunMs`: when the first is taken to
 * have begun, the file having no times.
 */
export function walksOfSheet(
  preview: SheetPreview,
  { method }: SheetOptions,
  comparisonId: string,
  newId: () => string,
  begunMs: number,
): StoredWalk[] {
  if (preview.problems.length > 0) throw new RangeError(`invalid sheet: ${preview.problems.length} problems`);
  const deviceId = newId();
  let seq = 0;
  return preview.walks.map(({ product, path, points }, k) => {
    const walkId = newId();
    const startedMs = begunMs + k * 60_000;
    const { direction } = kindOf(product.kindId);
    let [atS, lastM] = [0, 0];
    const event = <K extends WalkEvent['kind']>(kind: K, body: EventBodies[K]): WalkEvent =>
      ({
        walkId,
        deviceId,
        seq: ++seq,
        version: 1,
        kind,
        body,
        time: {
          walkS: atS,
          rate: 1,
          inputMs: atS * 1000,
          originMs: startedMs,
          wallMs: startedMs + atS * 1000,
        },
      }) as WalkEvent;
    const begin = event('begin', {
      baselineGrade: 5,
      direction,
      reading: { travelledM: 0, method, pressed: false },
      playoutDelayS: 0,
      mode: points.some((p) => p.presses !== undefined) ? 'hits' : 'stop and call',
    });
    const log = points.flatMap((p): WalkEvent[] => {
      atS = Math.round(1000 * (atS + Math.abs(p.atM - lastM) / WALKING_MPS + STAND_S)) / 1000;
      lastM = p.atM;
      return [
        event('mark', {
          reading: { travelledM: p.atM, method, pressed: false },
          name: `${p.atM.toFixed(1)} m`,
        }),
        ...(p.grade === undefined
          ? []
          : [event('call', { checkpoint: `${p.atM.toFixed(1)} m`, direction, grade: p.grade, tries: 1 })]),
        ...(p.presses === undefined || p.hits === undefined
          ? []
          : [event('hits', { presses: p.presses, hits: p.hits })]),
        ...(p.note === '' && p.from === undefined
          ? []
          : [
              event('note', {
                text: [p.from, p.note]
                  .filter((t) => t !== undefined && t !== '')
                  .join('; ')
                  .slice(0, 1000),
              }),
            ]),
      ];
    });
    atS += STAND_S;
    return {
      header: {
        id: walkId,
        comparisonId,
        productId: product.id,
        rigId: product.rigs[0]?.id ?? '',
        pathId: path.id,
        startedMs,
      },
      log: [
        begin,
        ...log,
        event('end', { reason: points.at(-1)?.grade === 1 ? 'link failed' : 'path ended' }),
      ],
    };
  });
}
