import { describe, expect, test } from '@jest/globals';
import type { EventKind } from '@urvek/core';
import fc from 'fast-check';
import * as yup from 'yup';
import { compile } from './compile.ts';
import { EVENT_BODIES, eventEnvelope } from './event.ts';

const accepts = (schema: yup.AnyObjectSchema, value: unknown): boolean => {
  try {
    schema.validateSync(value);
    return true;
  } catch {
    return false;
  }
};

/** A body that a schema takes, as far as its description tells one. */
function sample(schema: yup.Schema): unknown {
  const { type, oneOf, tests, optional } = schema.describe() as never as {
    type: string;
    oneOf: unknown[];
    optional: boolean;
    tests: { name?: string; params?: { min?: number; regex?: RegExp } }[];
  };
  if (oneOf.length > 0) return oneOf[0];
  if (type === 'object')
    return Object.fromEntries(
      Object.entries((schema as yup.AnyObjectSchema).fields as Record<string, yup.Schema>).flatMap(
        ([k, f]) => {
          const value = sample(f);
          return value === undefined ? [] : [[k, value]];
        },
      ),
    );
  if (tests.some((t) => t.name === 'uuid')) return '11111111-1111-4111-8111-111111111111';
  if (tests.some((t) => t.name === 'matches')) return optional ? undefined : 'audio/webm';
  if (type === 'string') return 'x';
  if (type === 'number') return tests.find((t) => t.params?.min !== undefined)?.params?.min ?? 1;
  if (type === 'boolean') return true;
  return optional ? undefined : {};
}

const spoilt = fc.oneof(
  fc.constantFrom<unknown>(undefined, null, '', 'x', -1, 0, 1.5, 1e9, Number.NaN, Infinity, true, {}, []),
  fc.string({ maxLength: 3 }),
  fc.double(),
);

/** Puts a value somewhere in a body, or a field too many. */
function changed(body: unknown, path: number, value: unknown): unknown {
  if (typeof body !== 'object' || body === null) return value;
  const keys = [...Object.keys(body), 'tooMany'];
  const key = keys[path % keys.length] as string;
  const inner = (body as Record<string, unknown>)[key];
  return {
    ...body,
    [key]:
      typeof inner === 'object' && inner !== null
        ? changed(inner, Math.floor(path / keys.length), value)
        : value,
  };
}

describe('the compiled reader', () => {
  const schemas: [string, yup.AnyObjectSchema][] = [
    ['envelope', eventEnvelope],
    ...(Object.entries(EVENT_BODIES) as [EventKind, yup.AnyObjectSchema][]),
  ];

  test.each(schemas)('of %s takes nothing that the schema refuses', (_kind, schema) => {
    const surely = compile(schema);
    const good = sample(schema);
    fc.assert(
      fc.property(fc.nat(200), spoilt, (path, value) => {
        const body = changed(good, path, value);
        if (surely(body)) expect(accepts(schema, body)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  test('takes what is logged most by itself', () => {
    for (const kind of [
      'mark',
      'grade',
      'dropoutBegin',
      'dropoutEnd',
      'measured',
      'hits',
      'call',
      'fix',
      'begin',
      'end',
    ] as const) {
      const good = sample(EVENT_BODIES[kind]);
      expect({
        kind,
        schema: accepts(EVENT_BODIES[kind], good),
        surely: compile(EVENT_BODIES[kind])(good),
      }).toEqual({
        kind,
        schema: true,
        surely: true,
      });
    }
  });

  test('leaves to the schema what it cannot read off it', () => {
    expect(compile(EVENT_BODIES.correction)({})).toBe(false);
    expect(compile(yup.object({ a: yup.number().test('own', () => true) }).noUnknown())({ a: 1 })).toBe(
      false,
    );
  });
});
