import * as yup from 'yup';
import { validateEvent } from '../schemas/event.ts';
import { setupFromVersion2, walkFromVersion2 } from './fromVersion2.ts';
import { setupSchema, type Setup } from '../schemas/setup.ts';
import { checkTexts } from '../schemas/text.ts';
import { validateHeader, type StoredWalk } from '../schemas/walk.ts';

export const INTERCHANGE_FORMAT = 'urvek-comparison';
/** The newest version that is written; every earlier one is read. */
export const INTERCHANGE_VERSION = 3;

/** A whole comparison in one file, raw log included. */
export interface Interchange {
  readonly format: typeof INTERCHANGE_FORMAT;
  readonly version: number;
  readonly comparison: {
    readonly id: string;
    readonly title: string;
    readonly question: string;
    readonly simulated: boolean;
  };
  readonly setup: Setup;
  readonly walks: readonly StoredWalk[];
}

/**
 * From each version to the next. Version 2 added needs, quoted figures, latency, costs, acknowledged
 * findings and the report to the set-up, all of which may be absent: a file of version 1 is one of version
 * 2 without them. From version 3 on nothing is filled in that nobody entered (see fromVersion2).
 */
const MIGRATIONS: readonly ((file: Record<string, unknown>) => Record<string, unknown>)[] = [
  (file) => ({ ...file, version: 2 }),
  (file) => ({
    ...file,
    version: 3,
    setup: isObject(file.setup) ? setupFromVersion2(file.setup) : file.setup,
    walks: Array.isArray(file.walks)
      ? file.walks.map((walk: unknown) => (isObject(walk) ? walkFromVersion2(walk) : walk))
      : file.walks,
  }),
];

/** A file that is not one, or not one that is understood here. */
export class InterchangeError extends Error {
  override readonly name = 'InterchangeError';
}

export const headSchema = yup
  .object({
    id: yup.string().uuid().required(),
    title: yup.string().trim().required().max(120),
    question: yup.string().max(500).defined(),
    simulated: yup.boolean().required(),
  })
  .noUnknown();

const at = <T>(where: string, read: () => T): T => {
  try {
    return read();
  } catch (error) {
    throw new InterchangeError(
      `${where}: ${error instanceof yup.ValidationError ? error.errors.join('; ') : (error as Error).message}`,
    );
  }
};

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A part that must be there: a schema of its own takes nothing for an answer. */
function object(value: unknown): Record<string, unknown> {
  if (!isObject(value)) throw new Error('not an object');
  return value;
}

/** Reads a comparison from parsed JSON. @throws InterchangeError naming the place of what is wrong. */
export function readInterchange(given: unknown): Interchange {
  if (!isObject(given) || given.format !== INTERCHANGE_FORMAT)
    throw new InterchangeError(`not a comparison of Urvek: its "format" is not "${INTERCHANGE_FORMAT}"`);
  const { version } = given;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    throw new InterchangeError(`"version" is ${JSON.stringify(version)}, not a whole number from 1`);
  if (version > INTERCHANGE_VERSION)
    throw new InterchangeError(
      `the file is of version ${version}; this Urvek reads up to ${INTERCHANGE_VERSION}. Open it with a newer one`,
    );
  const value = MIGRATIONS.slice(version - 1).reduce((file, migrate) => migrate(file), given);
  at('texts', () => checkTexts({ comparison: value.comparison, setup: value.setup }));
  const comparison = at('comparison', () =>
    headSchema.validateSync(object(value.comparison), { strict: true }),
  );
  const setup = at('setup', () => setupSchema.validateSync(object(value.setup), { strict: true }));
  return {
    format: INTERCHANGE_FORMAT,
    version: INTERCHANGE_VERSION,
    comparison,
    setup,
    walks: readWalks(value.walks, comparison.id),
  };
}

/** Walks of one comparison from parsed JSON. @throws InterchangeError naming the place of what is wrong. */
export function readWalks(value: unknown, comparisonId: string): StoredWalk[] {
  if (!Array.isArray(value)) throw new InterchangeError('walks: not a list');
  return value.map((walk, i) => readWalk(walk, `walk ${i + 1}`, comparisonId));
}

function readWalk(value: unknown, where: string, comparisonId: string): StoredWalk {
  if (!isObject(value)) throw new InterchangeError(`${where}: not an object`);
  const header = at(`${where}, header`, () => validateHeader(object(value.header)));
  if (header.comparisonId !== comparisonId)
    throw new InterchangeError(`${where}: belongs to comparison ${header.comparisonId}`);
  if (!Array.isArray(value.log)) throw new InterchangeError(`${where}: its log is not a list`);
  const seen = new Set<string>();
  const log = value.log.map((event: unknown, k) =>
    at(`${where}, event ${k + 1}`, () => {
      const read = validateEvent(event);
      if (read.walkId !== header.id) throw new Error(`belongs to walk ${read.walkId}`);
      const key = `${read.deviceId}:${read.seq}`;
      if (seen.has(key)) throw new Error('its number stands twice');
      seen.add(key);
      return read;
    }),
  );
  return { header, log };
}

export const writeInterchange = (
  comparison: Interchange['comparison'],
  setup: Setup,
  walks: readonly StoredWalk[],
): Interchange => ({ format: INTERCHANGE_FORMAT, version: INTERCHANGE_VERSION, comparison, setup, walks });
