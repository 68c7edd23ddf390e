import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import type { WalkEvent } from '@urvek/core';
import { validateEvent } from '../schemas/event.ts';
import { newRig } from '../schemas/product.ts';
import { EMPTY_SETUP, type Setup } from '../schemas/setup.ts';
import { setupFromVersion2, walkFromVersion2 } from './fromVersion2.ts';
import { InterchangeError, readInterchange, writeInterchange, type Interchange } from './interchange.ts';
import { logOf } from '@urvek/core/test';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const setup: Setup = {
  ...EMPTY_SETUP,
  products: [
    {
      id: 'a',
      name: '<img src=x onerror=alert(1)>',
      kindId: 'microphone',
      bandMHz: 2400,
      powerMw: 10,
      claims: [],
      units: [{ id: 'u', label: 'A', history: '' }],
      rigs: [newRig('r', 'u')],
      simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
    },
  ],
};
const reading = fc.record({
  travelledM: fc.double({ min: 0, max: 1e5, noNaN: true }),
  method: fc.constantFrom('wheel' as const, 'laser' as const, 'odometer' as const),
  pressed: fc.boolean(),
});
const direction = fc.constantFrom('mobile-to-fixed' as const, 'fixed-to-mobile' as const);
const said = fc.oneof(
  fc.record({ kind: fc.constant('mark'), body: fc.record({ reading }) }),
  fc.record({ kind: fc.constant('grade'), body: fc.record({ grade: fc.constantFrom(1, 2, 3, 4, 5) }) }),
  fc.record({
    kind: fc.constant('note'),
    body: fc.record({ text: fc.string({ minLength: 1, maxLength: 60 }) }),
  }),
  fc.record({
    kind: fc.constant('call'),
    body: fc.record({
      checkpoint: fc.constant('post'),
      direction,
      grade: fc.constantFrom(1, 5),
      tries: fc.integer({ min: 0, max: 9 }),
    }),
  }),
  fc.record({
    kind: fc.constant('measured'),
    body: fc.record({
      quantity: fc.constantFrom('throughput', 'level'),
      direction,
      value: fc.double({ min: 0, max: 100, noNaN: true }),
    }),
  }),
  fc.record({
    kind: fc.constant('fix'),
    body: fc.record({
      latitudeDeg: fc.double({ min: -90, max: 90, noNaN: true }),
      longitudeDeg: fc.double({ min: -180, max: 180, noNaN: true }),
      accuracyM: fc.double({ min: 0.1, max: 1000, noNaN: true }),
    }),
  }),
);
const log = fc
  .array(fc.tuple(said, fc.double({ min: 0, max: 1e5, noNaN: true })), { maxLength: 12 })
  .map((list) =>
    logOf(
      list.map(([{ kind, body }, walkS]) => [walkS, kind, body] as const),
      { walkId: uuid(1), deviceId: uuid(2) },
    ),
  );
const file = (events: readonly WalkEvent[]): Interchange =>
  writeInterchange({ id: uuid(9), title: 'T', question: '', simulated: true }, setup, [
    {
      header: { id: uuid(1), comparisonId: uuid(9), productId: 'a', rigId: 'r', pathId: 'p', startedMs: 1 },
      log: events,
    },
  ]);

describe('a whole comparison in a file', () => {
  test('comes back as it went, whatever was logged', () => {
    fc.assert(
      fc.property(log, (events) => {
        expect(readInterchange(JSON.parse(JSON.stringify(file(events))))).toEqual(
          JSON.parse(JSON.stringify(file(events))),
        );
      }),
      { numRuns: 60 },
    );
  });

  test('never throws anything but its own error, whatever it is given', () => {
    fc.assert(
      fc.property(fc.anything(), (value) => {
        for (const given of [
          value,
          { ...file([]), setup: value },
          { ...file([]), walks: [value] },
          { ...file([]), comparison: value },
          { ...file([]), version: value },
        ]) {
          try {
            readInterchange(given);
          } catch (error) {
            expect(error).toBeInstanceOf(InterchangeError);
          }
        }
      }),
      { numRuns: 300 },
    );
  });

  test.each<[string, (f: Interchange) => unknown, RegExp]>([
    [
      'a newer version',
      (f) => ({ ...f, version: 4 }),
      /version 4; this Urvek reads up to 3\. Open it with a newer one/,
    ],
    ['another format', (f) => ({ ...f, format: 'x' }), /its "format" is not/],
    [
      'a walk of another comparison',
      (f) => ({
        ...f,
        walks: f.walks.map((w) => ({ ...w, header: { ...w.header, comparisonId: uuid(8) } })),
      }),
      /walk 1: belongs to comparison/,
    ],
    [
      'an event of another walk',
      (f) => ({
        ...f,
        walks: f.walks.map((w) => ({
          ...w,
          log: [
            {
              walkId: uuid(7),
              deviceId: uuid(2),
              seq: 1,
              version: 1,
              kind: 'dropoutBegin',
              body: {},
              time: { walkS: 0, rate: 1, inputMs: 0, originMs: 0, wallMs: 0 },
            },
          ],
        })),
      }),
      /walk 1, event 1: belongs to walk/,
    ],
    [
      'a product without a rig',
      (f) => ({ ...f, setup: { ...f.setup, products: f.setup.products.map((p) => ({ ...p, rigs: [] })) } }),
      /setup: A product needs at least one rig/,
    ],
  ])('%s is refused by its place', (_, spoil, words) => {
    expect(() => readInterchange(spoil(file([])))).toThrow(words);
  });
});

describe('events of stands and of a second look', () => {
  const event = (kind: string, body: object): unknown => ({
    walkId: uuid(1),
    deviceId: uuid(2),
    seq: 1,
    version: 1,
    kind,
    body,
    time: { walkS: 1, rate: 1, inputMs: 1, originMs: 1, wallMs: 1 },
  });
  test.each<[string, object]>([
    ['landmark', { what: 'floor', name: '2' }],
    ['tried', { tries: 3, failed: 3 }],
    ['hits', { presses: 10, hits: 0 }],
    ['readBack', { sent: 'a b', heard: '', direction: 'mobile-to-fixed' }],
    ['rung', { rung: 'tone', worked: false, direction: 'fixed-to-mobile' }],
    ['measured', { quantity: 'level', direction: 'fixed-to-mobile' }],
    [
      'correction',
      {
        amends: { deviceId: uuid(2), seq: 1 },
        action: 'retime',
        reason: 'trained',
        delay: { reactionS: 0.4, spreadS: 0.1 },
      },
    ],
    [
      'begin',
      {
        baselineGrade: 5,
        direction: 'mobile-to-fixed',
        reading: { travelledM: 0, method: 'by eye', pressed: true },
        playoutDelayS: 0,
        mode: 'hits',
        conditions: { weather: 'rain', temperatureC: -2 },
        delay: { reactionS: 0.3, spreadS: 0.1 },
      },
    ],
  ])('%s is taken as it is', (kind, body) =>
    expect(validateEvent(event(kind, body))).toEqual(event(kind, body)),
  );

  test.each<[string, object]>([
    ['tried', { tries: 3, failed: 4 }],
    ['hits', { presses: 10, hits: 11 }],
    ['hits', { presses: 0, hits: 0 }],
    ['measured', { quantity: 'luck', direction: 'fixed-to-mobile' }],
    ['measured', { quantity: 'level', value: Infinity, direction: 'fixed-to-mobile' }],
    ['measured', { quantity: 'throughput', value: -5, direction: 'fixed-to-mobile' }],
    ['measured', { quantity: 'loss', value: 101, direction: 'fixed-to-mobile' }],
    ['note', { text: 'half \ud83d' }],
    ['note', { text: 'nul \u0000' }],
    ['gap', { fromWallMs: 1e308 }],
    ['fix', { latitudeDeg: 91, longitudeDeg: 0, accuracyM: 5 }],
    ['correction', { amends: { deviceId: uuid(2), seq: 1 }, action: 'retime', reason: 'x' }],
    ['correction', { amends: { deviceId: uuid(2), seq: 1 }, action: 'remeasure', reason: 'x' }],
    [
      'begin',
      {
        baselineGrade: 5,
        direction: 'mobile-to-fixed',
        reading: { travelledM: 0, method: 'wheel', pressed: true },
        playoutDelayS: 0,
        mode: 'dance',
      },
    ],
  ])('%s %j is refused', (kind, body) => expect(() => validateEvent(event(kind, body))).toThrow());
});

describe('a file of version 2', () => {
  const old = (more: object = {}) => ({
    products: [
      {
        bandMHz: 2400,
        powerMw: 10,
        rigs: [
          {
            channel: 'automatic',
            antennaPlace: 'on the device',
            heightFixedM: 1.5,
            heightMobileM: 1.5,
            playoutDelayS: 0,
            ...more,
          },
        ],
        standIn: { requiredDbm: -85 },
      },
    ],
  });

  test('states nothing that a form had filled in and nobody touched', () => {
    expect(setupFromVersion2(old()).products).toEqual([
      { simulatedGear: { requiredDbm: -85 }, rigs: [{ channel: '' }] },
    ]);
    const touched = { heightMobileM: 1.4 };
    expect(setupFromVersion2(old(touched)).products).toMatchObject([
      { bandMHz: 2400, powerMw: 10, rigs: [{ heightFixedM: 1.5, ...touched, channel: 'automatic' }] },
    ]);
  });

  test(
    'loses the seconds, the day and the beginning that a table never had; walks that were walked ' +
      'keep theirs',
    () => {
      const mark = (travelledM: number, pressed: boolean) => ({
        kind: 'mark',
        body: { reading: { travelledM, method: 'paces', pressed }, name: `${travelledM.toFixed(1)} m` },
      });
      const walk = (pressed: boolean) => ({
        header: { id: 'w' },
        log: [
          { kind: 'begin', body: { baselineGrade: 5, reading: {}, playoutDelayS: 0, mode: 'hits' } },
          mark(20, pressed),
        ],
      });
      expect(walkFromVersion2(walk(false))).toEqual({
        header: { id: 'w', undated: true },
        log: [{ kind: 'begin', body: { mode: 'hits', untimed: true } }, mark(20, false)],
      });
      expect(walkFromVersion2(walk(true))).toEqual(walk(true));
    },
  );
});
