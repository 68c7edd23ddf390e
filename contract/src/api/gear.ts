import { DIRECTIONS, QUANTITIES, type Direction, type Quantity } from '@urvek/core';
import * as yup from 'yup';

/** Where gear hands in what it notices: a WebSocket, lines of JSON. docs/gear.md tells it to others. */
export const GEAR_SOCKET_PATH = '/api/gear';
export const GEAR_VERSION = 1;

/** The first line: who it is, and which walk it watches. */
export interface GearHello {
  readonly hello: 'urvek-gear';
  readonly version: number;
  readonly name: string;
  /** The code on the walker's screen. */
  readonly code: string;
  readonly end: 'mobile' | 'fixed';
  readonly direction?: Direction;
}

/** What it noticed; `ageMs`: so long ago, where it did not send it at once. */
export type GearLine = { readonly ageMs?: number } & (
  | { readonly say: 'wheel'; readonly m: number }
  | {
      readonly say: 'reading';
      readonly quantity: Quantity;
      readonly value?: number;
      readonly direction?: Direction;
    }
  | { readonly say: 'lost' | 'back'; readonly why?: string }
  | { readonly say: 'tried'; readonly tries: number; readonly failed: number }
  | { readonly say: 'note'; readonly text: string }
);

/** What Urvek answers. */
export type GearAnswer =
  | { readonly welcome: string }
  /** So many lines are kept so far. */
  | { readonly kept: number }
  | { readonly refused: string };

/** Older than this, a line is no notice of now, ms. */
const OLDEST_MS = 60_000;

const helloSchema: yup.Schema<GearHello> = yup
  .object({
    hello: yup
      .string()
      .oneOf(['urvek-gear'] as const)
      .required(),
    version: yup
      .number()
      .oneOf([GEAR_VERSION] as const)
      .required(),
    name: yup.string().trim().required().max(60),
    code: yup.string().required().max(20),
    end: yup
      .string()
      .oneOf(['mobile', 'fixed'] as const)
      .required(),
    direction: yup.string().oneOf(DIRECTIONS),
  })
  .noUnknown();

const ageMs = yup.number().min(0).max(OLDEST_MS);
const lineSchemas = {
  wheel: yup.object({ m: yup.number().required().min(0).max(100_000) }),
  reading: yup.object({
    quantity: yup.string().oneOf(QUANTITIES).required(),
    value: yup.number(),
    direction: yup.string().oneOf(DIRECTIONS),
  }),
  lost: yup.object({ why: yup.string().max(150) }),
  back: yup.object({ why: yup.string().max(150) }),
  tried: yup.object({
    tries: yup.number().required().integer().min(1).max(1000),
    failed: yup.number().required().integer().min(0).max(yup.ref('tries')),
  }),
  note: yup.object({ text: yup.string().trim().required().max(500) }),
} as const;
const SAYS = Object.keys(lineSchemas) as (keyof typeof lineSchemas)[];

const STRICT = { strict: true, abortEarly: true } as const;

/** @throws yup.ValidationError, SyntaxError */
export const readGearHello = (text: string): GearHello => helloSchema.validateSync(JSON.parse(text), STRICT);

/** @throws yup.ValidationError, SyntaxError */
export function readGearLine(text: string): GearLine {
  const line = JSON.parse(text) as { say?: unknown } | null;
  const say = SAYS.find((s) => s === line?.say);
  if (say === undefined) throw new yup.ValidationError(`say is one of ${SAYS.join(', ')}`);
  return lineSchemas[say]
    .shape({ say: yup.string().required(), ageMs })
    .noUnknown()
    .validateSync(line, STRICT) as GearLine;
}

/** Of what can be said, the fields of a line in CSV after the first. */
const CSV_FIELDS = {
  wheel: ['m'],
  reading: ['quantity', 'value', 'direction'],
  lost: ['why'],
  back: ['why'],
  tried: ['tries', 'failed'],
  note: ['text'],
} as const satisfies Record<keyof typeof lineSchemas, readonly string[]>;
const FIGURES: ReadonlySet<string> = new Set(['m', 'value', 'tries', 'failed']);

/**
 * A line as gear on a wire writes it: "wheel,12.34", "reading,level,-71" or "level,-71" for short, "lost,no carrier",
 * "back", "tried,3,1", "note,rain"; a figure alone is a wheel's. What comes after the last comma belongs to the last
 * field. @throws yup.ValidationError with what is wrong
 */
export function readGearCsv(text: string): GearLine {
  const fields = text
    .trim()
    .split(/[,;\t]/)
    .map((f) => f.trim());
  const [first = ''] = fields;
  if (fields.length === 1 && first !== '' && Number.isFinite(Number(first)))
    return readGearLine(JSON.stringify({ say: 'wheel', m: Number(first) }));
  if (QUANTITIES.some((q) => q === first)) fields.unshift('reading');
  const say = SAYS.find((s) => s === fields[0]);
  if (say === undefined)
    throw new yup.ValidationError(
      `“${text.slice(0, 40)}”: a line begins with ${SAYS.join(', ')}, or a quantity`,
    );
  const names = CSV_FIELDS[say];
  const values = fields.slice(1);
  const line = Object.fromEntries(
    names.flatMap((name, i) => {
      const value = i === names.length - 1 ? values.slice(i).join(', ') : values[i];
      if (value === undefined || value === '') return [];
      return [[name, FIGURES.has(name) ? Number(value) : value]];
    }),
  );
  return readGearLine(JSON.stringify({ say, ...line }));
}
