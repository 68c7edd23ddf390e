import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import {
  findWalk,
  operate,
  seeded,
  startWalk,
  type Feature,
  type LoggedAction,
  type Path,
  type SimulatedGear,
  type WalkEvent,
} from '@urvek/core';
import { drawnObstructions, planExtent, planScale, planScene } from './plan/planScene.ts';
import { sceneToSvg } from './svg.ts';
import { travelledGround } from './tape/ground.ts';
import { tapeScene } from './tape/tape.ts';
import { timeLineScene } from './time/timeLine.ts';

const feature = (
  id: string,
  kind: Feature['kind'],
  outline: Feature['outline'],
  more: Partial<Feature> = {},
): Feature => ({ id, label: `the ${id}`, kind, outline, ...more });
const path: Path = {
  id: 'p',
  name: 'P',
  condition: 'obstructed',
  model: 'two-slope',
  checkpoints: [],
  obstructions: [],
  legs: [
    { lengthM: 60, bearingDeg: 90, riseM: 0, exposure: 'open' },
    { lengthM: 40, bearingDeg: 0, riseM: 0, exposure: 'wooded' },
  ],
  features: [
    feature(
      'wall',
      'wall',
      [
        [30, -10],
        [30, 10],
      ],
      { material: 'brick', thicknessM: 0.2 },
    ),
    feature('wagon', 'vehicle', [
      [40, 8],
      [48, 8],
      [48, 12],
      [40, 12],
    ]),
  ],
};

describe('the plan of a site', () => {
  test('px and metres are each other’s inverse, north is up, and one scale holds both ways', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -200, max: 200, noNaN: true }),
        fc.double({ min: -200, max: 200, noNaN: true }),
        (east, north) => {
          const scale = planScale(planExtent(path), 900, 340);
          const [e, n] = scale.placeAt(scale.x(east), scale.y(north));
          expect(e).toBeCloseTo(east, 6);
          expect(n).toBeCloseTo(north, 6);
          expect(scale.x(east + 1) - scale.x(east)).toBeCloseTo(scale.y(north) - scale.y(north + 1), 9);
        },
      ),
    );
  });

  test('everything that is drawn lies on the picture', () => {
    const extent = planExtent(path);
    const scale = planScale(extent, 900, 340);
    for (const [east, north] of [
      [0, 0],
      [60, 0],
      [60, 40],
      [30, -10],
      [48, 12],
    ] as const) {
      expect(scale.x(east)).toBeGreaterThan(0);
      expect(scale.x(east)).toBeLessThan(900);
      expect(scale.y(north)).toBeGreaterThan(0);
      expect(scale.y(north)).toBeLessThan(340);
    }
  });

  test(
    'each thing is a group with its name, told by its kind’s own look; the line of sight is there ' +
      'when a place is pointed at',
    () => {
      const scene = planScene({ path, width: 900, height: 340, here: [60, 20], selectedId: 'wall' });
      expect(scene.groups.map((g) => g.id)).toEqual([
        'grid',
        'feature-wall',
        'feature-wagon',
        'route',
        'sight',
      ]);
      expect(scene.groups.find((g) => g.id === 'feature-wall')?.shapes.map((s) => s.role)).toEqual([
        'plan-wall',
        'plan-selected',
        'small',
      ]);
      expect(planScene({ path, width: 900, height: 340 }).groups.some((g) => g.id === 'sight')).toBe(false);
      expect(sceneToSvg(planScene({ path: { ...path, name: '<b>&' }, width: 900, height: 340 }))).toContain(
        '&lt;b&gt;&amp;',
      );
    },
  );

  test(
    'what it adds to the tape stands where the route first has it between, and labels do not run ' +
      'into each other',
    () => {
      const drawn = drawnObstructions(path);
      expect(drawn.map((d) => d.label)).toEqual(['the wall', 'the wagon']);
      expect(drawn[0]?.atM).toBeCloseTo(30.5, 6);
      expect(travelledGround(path).obstructions).toEqual(drawn);
      const close = {
        ...travelledGround(path),
        obstructions: [
          { atM: 50, label: 'first obstruction' },
          { atM: 50.5, label: 'second obstruction' },
          { atM: 95, label: 'far' },
        ],
      };
      const texts = tapeScene({ title: 'T', ground: close, unit: 'm', measure: 'travelled' })
        .groups.flatMap((g) => g.shapes)
        .flatMap((s) => (s.kind === 'text' && close.obstructions.some((o) => o.label === s.text) ? [s] : []));
      const [a, b, c] = texts;
      expect(Math.abs((a?.y ?? 0) - (b?.y ?? 0))).toBeGreaterThanOrEqual(12);
      expect(c?.y).toBe(a?.y);
    },
  );

  test('a name too long for its lane is cut there and stands whole in the title', () => {
    const label = 'Holmroe Pair, In hand and In hand B';
    const lane = { id: 'l', label, estimate: { lowM: 1, valueM: 2, highM: 3 } };
    const { groups } = tapeScene({
      title: 'T',
      ground: travelledGround(path),
      unit: 'm',
      measure: 'travelled',
      lanes: [lane],
    });
    const drawn = groups.find((g) => g.id === 'l');
    expect(drawn?.title).toBe(label);
    expect(drawn?.shapes.flatMap((s) => (s.kind === 'text' ? [s.text] : []))).toEqual([
      'Holmroe Pair, In h…',
    ]);
  });
});

describe('a walk over time', () => {
  const gear: SimulatedGear = {
    productSeed: 'a',
    frequencyMHz: 2400,
    eirpDbm: 10,
    receiveGainDbi: 0,
    requiredDbm: -70,
    heightsM: [1.5, 1.5],
    bodyLossDb: [8, 2],
  };
  const { log } = operate(startWalk(gear, { ...path, features: [] }, 'time'), seeded('time'));
  const begin: LoggedAction = {
    atS: 0,
    kind: 'begin',
    body: {
      baselineGrade: 5,
      direction: 'mobile-to-fixed',
      reading: { travelledM: 0, method: 'marked line', pressed: false },
      playoutDelayS: 0,
    },
  };
  const events = [begin, ...log].map(
    (a, i) =>
      ({
        walkId: 'w',
        deviceId: i % 7 === 3 ? 'other' : 'own',
        seq: i + 1,
        version: 1,
        kind: a.kind,
        body: a.body,
        time: { walkS: a.atS, rate: 1, inputMs: 0, originMs: 0, wallMs: i },
      }) as unknown as WalkEvent,
  );
  const finding = findWalk({ walkId: 'w', label: '1', product: 'A', path, log: events }) as NonNullable<
    ReturnType<typeof findWalk>
  >;
  const scene = (fromS: number, toS: number) =>
    timeLineScene({
      trace: finding.trace,
      log: events,
      width: 900,
      fromS,
      toS,
      selected: { deviceId: 'own', seq: 1 },
    });

  test('what each device said has a row of its own, and every entry can be pointed at', () => {
    const whole = scene(0, finding.trace.endS);
    expect(whole.groups.filter((g) => g.id.startsWith('device-')).map((g) => g.id)).toEqual([
      'device-own',
      'device-other',
    ]);
    expect(whole.groups.filter((g) => g.id.startsWith('event-'))).toHaveLength(events.length);
    expect(whole.groups.find((g) => g.id === 'event-own-1')?.shapes.map((s) => s.role)).toContain('here');
    expect(JSON.stringify(whole)).not.toMatch(/null|NaN/);
  });

  test('closer, only what lies in the window is drawn, and nothing outside the picture', () => {
    const part = scene(10, 30);
    expect(part.groups.filter((g) => g.id.startsWith('event-'))).toHaveLength(
      events.filter((e) => e.time.walkS >= 10 && e.time.walkS <= 30).length,
    );
    for (const shape of part.groups.flatMap((g) => g.shapes))
      if (shape.kind === 'rect') expect(shape.x + shape.width).toBeLessThanOrEqual(900);
  });
});
