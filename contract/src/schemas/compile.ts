import type * as yup from 'yup';

/**
 * Whether a value is surely valid. False says nothing: then the schema itself is asked, which names what is
 * wrong.
 */
export type Surely = (value: unknown, parent?: Readonly<Record<string, unknown>>) => boolean;

type Description = yup.SchemaFieldDescription;
interface Test {
  readonly name?: string;
  readonly params?: Readonly<Record<string, unknown>>;
}

/** Thrown for what cannot be compiled: conditions, tests of a schema's own. */
class NotCompiled extends Error {}

/**
 * A schema of Yup as one plain function, for logs of thousands of entries: the rules are read off the
 * schema, so that they stand once. What cannot be read off (conditions, tests of its own) is never "surely
 * valid".
 */
export function compile(schema: yup.AnyObjectSchema): Surely {
  try {
    return compiledObject(schema);
  } catch (error) {
    if (error instanceof NotCompiled) return () => false;
    throw error;
  }
}

function compiledObject(schema: yup.AnyObjectSchema): Surely {
  const { tests, optional } = described(schema);
  if (tests.some((t) => t.name !== 'noUnknown') || !tests.some((t) => t.name === 'noUnknown'))
    throw new NotCompiled();
  const fields = Object.entries(schema.fields as Record<string, yup.Schema>).map(
    ([name, field]) => [name, compiledField(field)] as const,
  );
  const known = new Set(fields.map(([name]) => name));
  return (value) => {
    if (value === undefined) return optional;
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const record = value as Readonly<Record<string, unknown>>;
    for (const key in record) if (!known.has(key)) return false;
    for (const [name, surely] of fields) if (!surely(record[name], record)) return false;
    return true;
  };
}

function compiledField(field: yup.Schema): Surely {
  if ((field as unknown as { conditions?: readonly unknown[] }).conditions?.length) throw new NotCompiled();
  const { type, tests, optional, nullable, oneOf, notOneOf } = described(field);
  if (nullable || notOneOf.length > 0) throw new NotCompiled();
  if (type === 'object') return compiledObject(field as yup.AnyObjectSchema);
  if (type === 'mixed') return (value) => (value === undefined ? optional : value !== null);
  if (type === 'array') {
    const item = compiledField((field as unknown as { innerType: yup.Schema }).innerType);
    const long = tests.map(lengthTest);
    return (value) =>
      value === undefined
        ? optional
        : Array.isArray(value) && long.every((test) => test(value.length)) && value.every((v) => item(v));
  }
  const ofType = TYPES[type];
  if (!ofType) throw new NotCompiled();
  const rules = tests.map(type === 'string' ? stringTest : numberTest);
  const allowed = oneOf.length > 0 ? new Set<unknown>(oneOf) : undefined;
  return (value, parent) => {
    if (value === undefined) return optional;
    if (!ofType(value) || (allowed && !allowed.has(value))) return false;
    for (const rule of rules) if (!rule(value as never, parent)) return false;
    return true;
  };
}

const TYPES: Readonly<Record<string, (value: unknown) => boolean>> = {
  string: (v) => typeof v === 'string',
  number: (v) => typeof v === 'number' && !Number.isNaN(v),
  boolean: (v) => typeof v === 'boolean',
};

interface Described {
  readonly type: string;
  readonly tests: readonly Test[];
  readonly optional: boolean;
  readonly nullable: boolean;
  readonly oneOf: readonly unknown[];
  readonly notOneOf: readonly unknown[];
}
const described = (schema: yup.Schema): Described => schema.describe() as Description as unknown as Described;

type Rule = (value: never, parent?: Readonly<Record<string, unknown>>) => boolean;

/** A limit that is a number, or stands in a field beside. */
function limitOf(limit: unknown): (parent?: Readonly<Record<string, unknown>>) => number {
  if (typeof limit === 'number') return () => limit;
  const { isSibling, path } = limit as { isSibling?: boolean; path?: string };
  if (isSibling !== true || path === undefined) throw new NotCompiled();
  return (parent) => {
    const value = parent?.[path];
    // Without the field beside it the schema decides.
    return typeof value === 'number' ? value : Number.NaN;
  };
}

function numberTest({ name, params = {} }: Test): Rule {
  const rule = (test: (value: number, parent?: Readonly<Record<string, unknown>>) => boolean): Rule => test;
  if (name === 'finite') return rule(Number.isFinite);
  if (name === 'integer') return rule(Number.isInteger);
  if (name === 'min' && 'min' in params) {
    const least = limitOf(params.min);
    return rule((v, parent) => v >= least(parent));
  }
  if (name === 'min' && 'more' in params) {
    const below = limitOf(params.more);
    return rule((v, parent) => v > below(parent));
  }
  if (name === 'max' && 'max' in params) {
    const most = limitOf(params.max);
    return rule((v, parent) => v <= most(parent));
  }
  throw new NotCompiled();
}

function stringTest(test: Test): Rule {
  const { name, params = {} } = test;
  const rule = (check: (value: string) => boolean): Rule => check;
  if (name === 'required') return rule((v) => v.length > 0);
  if (name === 'trim') return rule((v) => v === v.trim());
  if ((name === 'uuid' || name === 'matches') && params.regex instanceof RegExp) {
    const { regex } = params as { regex: RegExp };
    return rule((v) => regex.test(v));
  }
  const fits = lengthTest(test);
  return rule((v) => fits(v.length));
}

function lengthTest({ name, params = {} }: Test): (length: number) => boolean {
  const limit = params[name ?? ''];
  if (name === 'max' && typeof limit === 'number') return (length) => length <= limit;
  if (name === 'min' && typeof limit === 'number') return (length) => length >= limit;
  throw new NotCompiled();
}
