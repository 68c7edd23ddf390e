import { type Product, type Setup, type StoredWalk, newRig } from '@urvek/contract';
import { kindOf, operate, seeded, startWalk, type LoggedAction } from '@urvek/core';
import { plannedWalks, simulatedGearOf } from '@urvek/study';
import { eventsOf, uuidFrom } from './events.ts';

/** Everything here is invented: place, products, figures, walks. */
export const DEMO_ID = '0c1d0000-0000-4000-8000-000000000001';
export const DEMO_TITLE = 'Clip microphones on the Incline';
export const DEMO_QUESTION =
  'Which clip microphone carries a guide’s voice farther up the Incline, and do they reach what their makers say?';

const microphone = (
  id: string,
  name: string,
  requiredDbm: number,
  sensitivityDbm: number,
  claim: { entered: string; upTo: boolean },
): Product => ({
  id,
  name,
  kindId: 'microphone',
  bandMHz: 2400,
  powerMw: 10,
  sensitivityDbm,
  claims: [{ id: `${id}-claim`, form: 'distance', ...claim, condition: 'open', source: 'box (made up)' }],
  units: [{ id: `${id}-unit`, label: 'A', history: 'made up' }],
  rigs: [
    {
      ...newRig(`${id}-rig`, `${id}-unit`),
      name: 'Chest clip',
      channel: 'automatic',
      heightFixedM: 1.6,
      heightMobileM: 1.5,
      playoutDelayS: 0.02,
      bodyPosition: 'on the chest, back to the fixed end',
      bodyLossDb: 8,
      antennaPlace: 'on the body',
      batteryWh: 1.1,
      loadW: 0.2,
    },
  ],
  simulatedGear: { requiredDbm, bodyLossOutDb: 8, bodyLossBackDb: 2 },
});

export const DEMO_SETUP: Setup = {
  products: [
    microphone('ossimere', 'Ossimere Clip', -85, -87, { entered: '100 m', upTo: true }),
    microphone('threnlow', 'Threnlow T2', -91, -92, { entered: '500 ft', upTo: true }),
  ],
  paths: [
    {
      id: 'incline',
      name: 'Incline',
      condition: 'open',
      legs: [
        { lengthM: 240, bearingDeg: 72, riseM: 9, exposure: 'open' },
        { lengthM: 180, bearingDeg: 72, riseM: 8, exposure: 'open' },
      ],
      model: 'two-slope',
      distanceMethod: 'marked line',
      hazards: 'sleepers underfoot',
      hazardsAt: [{ what: 'a drop beside the footbridge', atM: 255 }],
      permission: 'the museum’s own ground',
      obstructions: [{ label: 'Footbridge', kind: 'fixed-loss', atM: 260, lossDb: 3 }],
      checkpoints: Array.from({ length: 20 }, (_, i) => ({ name: `post ${i + 1}`, atM: 20 * (i + 1) })),
    },
  ],
  plan: {
    walksEach: 6,
    criterion: 'first dropout',
    ratio: 1.25,
    sigma: 0.12,
    startTime: '12:05',
    setUpMin: 8,
    atFixedEnd: 'Base, at the lower gate',
    atMobileEnd: 'Walker',
    secondChannel: 'field telephone at the footbridge',
  },
};

/** Walks of a made-up afternoon, played by simulated gear with fixed seeds. */
export function demoWalks(setup: Setup = DEMO_SETUP): StoredWalk[] {
  let startedMs = Date.UTC(2026, 4, 12, 12, 5);
  return plannedWalks(setup).map(({ item: { product, rig, path } }, index) => {
    const seed = `cindermoor/${path.id}/${product.id}/${index}`;
    const id = uuidFrom(seed);
    const { log } = operate(startWalk(simulatedGearOf(product, rig), path, seed), seeded(seed, 'operator'));
    const direction = kindOf(product.kindId).direction;
    const begin: LoggedAction = {
      atS: 0,
      kind: 'begin',
      body: {
        baselineGrade: 5,
        direction,
        reading: { travelledM: 0, method: 'marked line', pressed: false },
        playoutDelayS: rig.playoutDelayS,
        simulatedSeed: seed,
      },
    };
    const events = eventsOf(id, [begin, ...log], startedMs, index * 10_000 + 1);
    const header = {
      id,
      comparisonId: DEMO_ID,
      productId: product.id,
      rigId: rig.id,
      pathId: path.id,
      startedMs,
    };
    startedMs += 1000 * ((events.at(-1)?.time.walkS ?? 0) + 240);
    return { header, log: events };
  });
}
