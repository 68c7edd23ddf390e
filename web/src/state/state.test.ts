import { describe, expect, test } from '@jest/globals';
import { EMPTY_SETUP, newRig, type Setup, type StoredWalk } from '@urvek/contract';
import type { EventBodies, EventKind, WalkEvent } from '@urvek/core';
import { nextStage, Study } from '@urvek/study';
import { eventText } from './eventText.ts';
import { logOf } from '@urvek/core/test';

const product = (id: string): Setup['products'][number] => ({
  id,
  name: id,
  kindId: 'microphone',
  bandMHz: 2400,
  powerMw: 10,
  claims: [],
  units: [{ id: 'u', label: 'A', history: '' }],
  rigs: [newRig(`${id}r`, 'u')],
  simulatedGear: { requiredDbm: -85, bodyLossOutDb: 0, bodyLossBackDb: 0 },
});
const path: Setup['paths'][number] = {
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  distanceMethod: 'wheel',
  hazards: '',
  permission: '',
  legs: [{ lengthM: 200, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
};
const full: Setup = {
  products: [product('a'), product('b')],
  paths: [path],
  plan: { ...EMPTY_SETUP.plan, walksEach: 1 },
};

const reading = { travelledM: 40, method: 'wheel', pressed: false } as const;
const walk = (id: string, productId: string, end: boolean): StoredWalk => ({
  header: {
    id,
    comparisonId: 'c',
    productId,
    rigId: `${productId}r`,
    pathId: 'p',
    startedMs: id.charCodeAt(0),
  },
  log: logOf(
    [
      [
        0,
        'begin',
        {
          baselineGrade: 5,
          direction: 'mobile-to-fixed',
          reading: { ...reading, travelledM: 0 },
          playoutDelayS: 0,
        },
      ],
      [20, 'dropoutBegin', {}],
      [30, 'mark', { reading }],
      ...(end ? [[31, 'end', { reason: 'time' }] as const] : []),
    ],
    { walkId: id },
  ),
});

describe('where a comparison stands', () => {
  const next = (setup: Setup, walks: StoredWalk[]): string | undefined =>
    nextStage(Study.ofLogs(setup, walks).stages())?.stage;

  test('the first stage that wants something is named', () => {
    expect(next(EMPTY_SETUP, [])).toBe('kit');
    expect(next({ ...full, products: [product('a')] }, [])).toBe('kit');
    expect(next({ ...full, paths: [] }, [])).toBe('paths');
    expect(next({ ...full, plan: { ...full.plan, walksEach: 0 } }, [])).toBe('plan');
    expect(next(full, [])).toBe('walk');
    expect(next(full, [walk('x', 'a', true), walk('y', 'b', true)])).toBe('verdict');
  });

  test('a walk under way is not a walk made; texts say what is there', () => {
    const states = Study.ofLogs(full, [walk('x', 'a', true), walk('y', 'b', false)]).stages();
    expect(states.map((s) => s.stage)).toEqual([
      'kit',
      'paths',
      'plan',
      'walk',
      'trace',
      'ranges',
      'verdict',
      'report',
    ]);
    expect(states.find((s) => s.stage === 'walk')).toMatchObject({ mark: 'part', text: '1 of 2 walked' });
    expect(states.find((s) => s.stage === 'ranges')).toMatchObject({ mark: 'done', text: '1 outcome' });
    expect(states.find((s) => s.stage === 'verdict')).toMatchObject({
      mark: 'missing',
      text: 'no claim entered',
    });
    expect(states.find((s) => s.stage === 'trace')).toMatchObject({
      mark: 'part',
      text: '1 log, 1 not ended',
    });
  });
});

test('every kind of event has its words', () => {
  const bodies: { [K in EventKind]: EventBodies[K] } = {
    begin: { baselineGrade: 5, direction: 'mobile-to-fixed', reading, playoutDelayS: 0 },
    dropoutBegin: {},
    dropoutEnd: {},
    grade: { grade: 3 },
    mark: { reading, name: 'post 2' },
    turn: {},
    reconnected: { how: 'by itself' },
    note: { text: 'wind' },
    gap: { fromWallMs: 0 },
    landmark: { what: 'door', name: 'mill door' },
    tried: { tries: 3, failed: 2 },
    call: { checkpoint: 'post 3', direction: 'mobile-to-fixed', grade: 4, tries: 1 },
    hits: { presses: 10, hits: 9, orientation: 'back' },
    readBack: { sent: 'oak 7', heard: 'oak 4', direction: 'mobile-to-fixed' },
    rung: { rung: 'tone', worked: true, direction: 'mobile-to-fixed' },
    measured: { quantity: 'throughput', value: 41, direction: 'fixed-to-mobile' },
    fix: { latitudeDeg: 1, longitudeDeg: 1, accuracyM: 5 },
    joined: { role: 'base', direction: 'mobile-to-fixed' },
    clock: { baseMs: 1, halfRttMs: 4.4 },
    shared: { count: 2 },
    goOn: {},
    fixedEnd: { reading },
    against: { productId: 'b', how: 'held where the other failed' },
    outing: { name: 'the wet Tuesday' },
    leftOut: { reason: 'a rehearsal' },
    recording: { name: 'lane.mp4', bytes: 1, digest: '0', seconds: 60 },
    beacon: { sentS: 12.34, uS: 0.002, codes: 10, separation: { m: 42.3, uM: 1.2 } },
    end: { reason: 'weather' },
    correction: { amends: { deviceId: 'd', seq: 1 }, action: 'withdraw', reason: 'slip' },
  };
  const texts = Object.entries(bodies).map(([kind, body]) =>
    eventText({ kind, body } as unknown as WalkEvent),
  );
  expect(texts).toEqual([
    'begun, at 40.0 m, by wheel, baseline 5',
    'dropout begins',
    'dropout ends',
    'grade 3',
    'mark post 2 40.0 m, by wheel',
    'turned round',
    'reconnected by itself',
    '“wind”',
    'gap: nothing could be logged',
    'door: mill door',
    'tried and failed 2 of 3',
    'post 3, mobile-to-fixed: grade 4 after 1 try',
    '9 of 10 presses answered, back',
    'read back “oak 4” for “oak 7”',
    'tone worked, mobile-to-fixed',
    'throughput 41 Mbit/s, fixed-to-mobile',
    'location ± 5 m',
    'a device joined: base, watches mobile-to-fixed',
    'clock compared, ± 4 ms',
    'shared moment 2',
    'went on',
    'the fixed end stands at 40.0 m, by wheel',
    'beside another: held where the other failed',
    'belongs to the outing “the wet Tuesday”',
    'left out: a rehearsal',
    'recording lane.mp4',
    'beacon, 10 codes read, the last sent at 12.3 s, said to be 42.3 m ± 1.20 m away',
    'ended: weather',
    'correction (withdraw): slip',
  ]);
});
