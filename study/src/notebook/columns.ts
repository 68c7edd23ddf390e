import { FormatError, parseRecords, writeTable } from '@urvek/core';
import * as phrases from './phrases.ts';

/** What a row of a notebook can say; every cell is text as somebody wrote it. */
export const COLUMNS = [
  ...([
    'walk',
    'date',
    'time',
    'product',
    'rig',
    'unit',
    'path',
    'graded_by',
    'direction',
    'at',
    'method',
    'point',
  ] as const),
  ...(['grade', 'words', 'tries', 'hits', 'rung', 'down_mbps', 'up_mbps', 'rtt_ms'] as const),
  ...(['rtt_variation_ms', 'jitter_ms'] as const),
  ...(['loss_pct', 'level_dbm', 'level_change_db', 'band', 'cell', 'server', 'instrument'] as const),
  ...(['height_m', 'event', 'remark', 'provenance'] as const),
] as const;
export type Column = (typeof COLUMNS)[number];

/** Provenance of what simulated gear played: nobody walked it. */
export const SIMULATED = 'simulated';

/** One observation. */
export interface NotebookRow {
  /** Of the table it came from, counted from 1 with its header. */
  readonly line: number;
  readonly cells: Readonly<Partial<Record<Column, string>>>;
}

export interface Notebook {
  readonly rows: readonly NotebookRow[];
  /** Columns that mean nothing here: their cells are kept as remarks. */
  readonly unknown: readonly string[];
  /** Unit of figures without one, where the table has a column that says so in each row. */
  readonly units: ReadonlyMap<number, string>;
}

/** What else people call a column. */
const ALSO: Readonly<Partial<Record<Column, RegExp>>> = {
  walk: /^(run|test|attempt|pass|walk (no\.?|number|#))$/,
  date: /^(day|when)$/,
  time: /^(clock|at time|time of day)$/,
  product: /^(device|model|brand|gear|system|radio|router|item)$/,
  rig: /^(set-?up|configuration|config|antenna)$/,
  unit: /^(sample|serial|unit no\.?)$/,
  path: /^(route|site|place|where|location|course)$/,
  graded_by: /^(grader|judge|judged by|listener)$/,
  direction: /^(way|dir|heard by|who hears)$/,
  at: /^(distance|dist|range|how far|at \(m\)|distance \(m\)|metres|meters|m|ft|feet|yd|yards|mi|miles|km)$/,
  method: /^(how|measured by|distance by)$/,
  point: /^(stand|post|checkpoint|spot|landmark|room|point name)$/,
  grade: /^(quality|score|rating|readability)$/,
  words: /^(result|verdict|said|description|sounded|looked)$/,
  tries: /^(presses|shots|calls|of)$/,
  hits: /^(answered|worked|successes|heard)$/,
  rung: /^(ladder|fallback)$/,
  down_mbps: /^(down|download|dl|down \(mbit\/s\)|download mbps)$/,
  up_mbps: /^(up|upload|ul|up \(mbit\/s\)|upload mbps)$/,
  rtt_ms: /^(ping|rtt|latency|round trip)$/,
  rtt_variation_ms: /^(mdev|(ping|rtt|round[- ]trip|latency) (variation|jitter|mdev))$/,
  jitter_ms: /^jitter$/,
  loss_pct: /^(loss|packet loss)$/,
  level_dbm: /^(level|rssi|rsrp|signal|dbm)$/,
  band: /^(channel|frequency|network)$/,
  cell: /^(access point|ap|mast|tower)$/,
  remark: /^(notes?|comments?|remarks)$/,
  provenance: /^(source|from)$/,
};

/** Units that a column of distances has in its name. */
const IN_NAME = /^(?:distance|dist|range)?[ (]*(m|ft|feet|yd|yards|mi|miles|km)\)?$/;

const columnOf = (name: string): Column | undefined => {
  const tidy = name.toLowerCase().trim().replace(/\s+/g, ' ');
  const exact = COLUMNS.find((c) => c === tidy.replaceAll(' ', '_'));
  return exact ?? COLUMNS.find((c) => ALSO[c]?.test(tidy)) ?? (IN_NAME.test(tidy) ? 'at' : undefined);
};

/** So many rows of one notebook. */
const MOST_ROWS = 20_000;

/**
 * Reads a table with a header: comma, semicolon or tab, whichever its first line has most of; columns by their own
 * names or by what people call them. @throws FormatError with line and column
 */
export function readNotebook(text: string): Notebook {
  if (text.includes('\uFFFD') || text.includes('\0'))
    throw new FormatError(1, undefined, phrases.thisIsNoTextInUtf);
  const body = text.replace(/^\uFEFF/, '');
  const first = body.split('\n', 1)[0] ?? '';
  const [delimiter = ','] = [',', ';', '\t'].sort((a, b) => first.split(b).length - first.split(a).length);
  const [header, ...records] = parseRecords(body, delimiter);
  if (!header) throw new FormatError(1, undefined, phrases.theTableIsEmptyAHeader);
  if (records.length > MOST_ROWS)
    throw new FormatError(MOST_ROWS + 2, undefined, phrases.moreThanRows(MOST_ROWS));
  const names = header.cells.map((c) => c.trim());
  const meant = names.map((n) => (n.toLowerCase() === 'unit_at' ? ('unit_at' as const) : columnOf(n)));
  const twice = meant.find((c, i) => c !== undefined && meant.indexOf(c) !== i);
  if (twice !== undefined)
    throw new FormatError(1, names[meant.lastIndexOf(twice)], phrases.twoColumnsMeanRenameOne(twice));
  if (!meant.some((c) => c === 'at' || c === 'point' || c === 'event'))
    throw new FormatError(1, undefined, phrases.noColumnSaysWhereOrWhat);
  const atName = names[meant.indexOf('at')];
  const unitOfName = atName === undefined ? undefined : IN_NAME.exec(atName.toLowerCase())?.[1];
  const units = new Map<number, string>();
  const rows = records.flatMap(({ cells, line }): NotebookRow[] => {
    const found: Partial<Record<Column, string>> = {};
    const others: string[] = [];
    cells.forEach((cell, i) => {
      // A sign that a spreadsheet would reckon with was kept from that by an apostrophe.
      const value = cell.replace(/^'(?=[=+\-@\uFF1D\uFF0B\uFF0D\uFF20])/, '').trim();
      const column = meant[i];
      if (value === '') return;
      if (column === 'unit_at') units.set(line, value);
      else if (column) found[column] = value;
      else if (i >= names.length) throw new FormatError(line, undefined, phrases.moreCellsThanTheHeaderHas);
      else others.push(`${names[i]}: ${value}`);
    });
    if (!units.has(line) && unitOfName !== undefined) units.set(line, unitOfName);
    if (others.length > 0) found.remark = [found.remark, ...others].filter((t) => t !== undefined).join('; ');
    return Object.keys(found).length === 0 ? [] : [{ line, cells: found }];
  });
  return { rows, unknown: names.filter((n, i) => meant[i] === undefined && n !== ''), units };
}

/** Columns in which something stands; a table has one at least. */
export function columnsUsed(rows: readonly Pick<NotebookRow, 'cells'>[], all = false): readonly Column[] {
  const used = COLUMNS.filter((c) => all || rows.some((r) => r.cells[c] !== undefined));
  return used.length > 0 ? used : ['at'];
}

/** The same rows as a table: with every column, or with those that are used. */
export function writeNotebook(rows: readonly Pick<NotebookRow, 'cells'>[], all = false): string {
  const header = columnsUsed(rows, all);
  return writeTable(
    header,
    rows.map((r) => header.map((c) => r.cells[c] ?? '')),
  );
}
