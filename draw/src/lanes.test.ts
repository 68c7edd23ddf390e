import { describe, expect, test } from '@jest/globals';
import {
  operate,
  predictPath,
  seeded,
  startWalk,
  findWalk,
  summariseRanges,
  walkIntervals,
  type Path,
  type SimulatedGear,
  type Criterion,
} from '@urvek/core';
import { travelledGround } from './tape/ground.ts';
import { predictionLane } from './tape/predictionLane.ts';
import { rangeWalk, type Finding, type RangeWalk } from '@urvek/study';
import { rangeLanes } from './tape/rangeLanes.ts';
import { scaleOf, tapeScene, type Lane, type TapeOptions } from './tape/tape.ts';
import { walkLanes } from './tape/walkLanes.ts';
import fc from 'fast-check';
import { logOf } from '@urvek/core/test';

const path: Path = {
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM: 300, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
};
const simulatedGear: SimulatedGear = {
  productSeed: 'a',
  frequencyMHz: 2400,
  eirpDbm: 10,
  receiveGainDbi: 0,
  requiredDbm: -85,
  heightsM: [1.5, 1.5],
  bodyLossDb: [8, 2],
};

function finding(label: string) {
  const { log } = operate(startWalk(simulatedGear, path, label), seeded(label));
  const begin = {
    atS: 0,
    kind: 'begin',
    body: {
      baselineGrade: 5,
      direction: 'mobile-to-fixed',
      reading: { travelledM: 0, method: 'marked line', pressed: false },
      playoutDelayS: 0,
    },
  };
  const events = logOf(
    [begin, ...log].map(({ atS, kind, body }) => [atS, kind, body] as const),
    { walkId: label },
  );
  return findWalk({ walkId: label, label, product: 'A', path, log: events }) as NonNullable<
    ReturnType<typeof findWalk>
  >;
}

const rolesOf = (lane: Lane): string[] => {
  const scene = tapeScene({
    title: 'T',
    ground: travelledGround(path),
    unit: 'm',
    measure: 'travelled',
    lanes: [lane],
  });
  expect(JSON.stringify(scene)).not.toContain('null');
  return scene.groups.find((g) => g.id === lane.id)?.shapes.map((s) => s.role) ?? [];
};

describe('lanes of a walk', () => {
  const { trace } = finding('one');
  const lanes = walkLanes(trace, 'out', 'w');

  test('out and back apart, with every fix on one of them', () => {
    expect(lanes.map((l) => l.label)).toEqual(['out', 'back']);
    expect(lanes.reduce((sum, l) => sum + (l.marks?.length ?? 0), 0)).toBe(trace.fixes.length);
  });

  test('bands join without a gap from the fixed end to the turn', () => {
    const [out] = lanes;
    const bands = out?.states ?? [];
    expect(bands[0]?.fromM).toBeCloseTo(0, 6);
    bands.slice(1).forEach((band, i) => expect(band.fromM).toBeCloseTo(bands[i]?.toM as number, 9));
    expect(rolesOf(out as Lane)).toEqual(expect.arrayContaining(['clear', 'lost', 'mark']));
  });
});

test('a lane is there before anything was walked, so that what lies below keeps its place', () => {
  const [out, ...more] = walkLanes({ stretches: [], fixes: [], turnS: undefined }, 'out', 'w');
  expect(more).toEqual([]);
  expect(out).toMatchObject({
    states: [],
    marks: [],
    height: walkLanes(finding('one').trace, 'out', 'w')[0]?.height,
  });
});

test('however unsure a mark is, what it says stays on the tape', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 300, noNaN: true }),
      fc.double({ min: 0, max: 200, noNaN: true }),
      (atM, uncertaintyM) => {
        const lane = { id: 'w', label: 'out', marks: [{ atM, uncertaintyM }], height: 30 };
        const ground = travelledGround(path);
        const options: TapeOptions = { title: 'T', ground, unit: 'm', measure: 'travelled', lanes: [lane] };
        const { left, right } = scaleOf(options);
        const drawn = tapeScene(options).groups.find((g) => g.id === 'w')?.shapes ?? [];
        const marks = drawn.filter((s) => s.kind === 'line' && s.role === 'mark');
        expect(marks.length).toBeGreaterThan(0);
        for (const s of marks)
          if (s.kind === 'line') {
            expect(Math.min(s.x1, s.x2)).toBeGreaterThanOrEqual(left - 1e-9);
            expect(Math.max(s.x1, s.x2)).toBeLessThanOrEqual(right + 1e-9);
          }
      },
    ),
  );
});

describe('lanes of ranges', () => {
  const findings = ['one', 'two', 'three'].map(finding);
  const [cell] = summariseRanges(walkIntervals(findings, 'first dropout')).fitted;
  if (!cell) throw new Error('no cell');
  const walks = (criterion: Criterion): RangeWalk[] =>
    findings.map((f) => rangeWalk({ ...f, header: {}, subject: {} } as unknown as Finding, criterion));

  test('the estimate first, then every walk that says something', () => {
    const lanes = rangeLanes(cell, walks('first dropout'), 'm');
    expect(lanes).toHaveLength(4);
    expect(lanes[0]?.title).toContain('n = 3');
    expect(lanes.slice(1).every((l) => l.brackets?.length === 1)).toBe(true);
    expect(rangeLanes(cell, walks('reconnect after a reset'), 'm')).toHaveLength(1);
  });

  test('an interval without an upper end is an open arrow', () => {
    const open: Lane = { id: 'x', label: 'x', estimate: { lowM: 100, valueM: undefined, highM: undefined } };
    expect(rolesOf(open)).toEqual(expect.arrayContaining(['interval', 'arrow']));
    expect(rolesOf(open)).not.toContain('median');
    expect(
      rolesOf({ id: 'y', label: 'y', estimate: { lowM: undefined, valueM: undefined, highM: undefined } }),
    ).toEqual(['lane', 'strong']);
  });
});

test('a prediction is a curve in a band with open ranges, and no dot', () => {
  const prediction = predictPath(path, {
    frequencyMHz: 2400,
    eirpDbm: 10,
    receiveGainDbi: 0,
    requiredDbm: -72,
    heightsM: [1.5, 1.5],
  });
  const lane = predictionLane('a', 'A', prediction);
  expect(lane.curve?.points.length).toBeLessThanOrEqual(400);
  const roles = rolesOf(lane);
  expect(roles).toEqual(expect.arrayContaining(['band', 'curve', 'zero', 'expected']));
  expect(roles).not.toContain('median');
  expect(roles.filter((r) => r === 'expected')).toHaveLength(3);
});
