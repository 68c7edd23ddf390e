import {
  EMPTY_SETUP,
  newRig,
  type Product,
  type ProductClaim,
  type Rig,
  type Setup,
  type StoredWalk,
} from '@urvek/contract';
import {
  kindOf,
  operate,
  pathLengthM,
  linkRateMbps,
  seeded,
  startWalk,
  type Direction,
  type Feature,
  type Grade,
  type LoggedAction,
  type Random,
  type SimulatedGear,
} from '@urvek/core';
import { plannedWalks, simulatedGearOf, type SetupPath } from '@urvek/study';
import { eventsOf, uuidFrom } from './events.ts';

/** Everything here is invented: place, products, figures, walks. */
export const SLATE_WORKS_ID = '0c1d0000-0000-4000-8000-000000000002';
export const SLATE_WORKS_TITLE = 'Gear for the Cindermoor Slate Works';
export const SLATE_WORKS_QUESTION =
  'Which gear serves the guides, the film crew and the visitors, in the open and behind slate and steel?';

type Figures = Pick<Product, 'kindId' | 'bandMHz' | 'powerMw'> & {
  readonly requiredDbm: number;
  readonly claim: string;
  readonly rig?: Partial<Rig>;
  readonly claims?: Pick<ProductClaim, 'form' | 'entered' | 'upTo' | 'against'>[];
  readonly more?: Partial<Product>;
};

export const product = (
  id: string,
  name: string,
  { kindId, bandMHz, powerMw, requiredDbm, claim, rig, claims = [], more = {} }: Figures,
): Product => ({
  id,
  name,
  kindId,
  bandMHz,
  powerMw,
  sensitivityDbm: requiredDbm - 2,
  claims: [
    {
      id: `${id}-claim`,
      form: 'distance',
      entered: claim,
      upTo: true,
      condition: 'open',
      source: 'box (made up)',
    },
    ...claims.map((c, i) => ({
      ...c,
      id: `${id}-claim-${i + 2}`,
      condition: 'open' as const,
      source: 'advertisement (made up)',
    })),
  ],
  units: [{ id: `${id}-a`, label: 'A', history: 'made up' }],
  rigs: [
    {
      ...newRig(`${id}-rig`, `${id}-a`),
      name: 'As a guide wears it',
      channel: 'automatic',
      antennaPlace: 'on the device',
      heightFixedM: 1.6,
      heightMobileM: 1.5,
      playoutDelayS: 0,
      batteryWh: 18,
      loadW: 1,
      ...rig,
    },
  ],
  simulatedGear: { requiredDbm, bodyLossOutDb: 6, bodyLossBackDb: 2 },
  ...more,
});

const feature = (
  id: string,
  label: string,
  kind: Feature['kind'],
  outline: [number, number][],
  more: Partial<Feature> = {},
) => ({ id, label, kind, outline, ...more }) as NonNullable<SetupPath['features']>[number];
const box = (west: number, south: number, wide: number, high: number): [number, number][] => [
  [west, south],
  [west + wide, south],
  [west + wide, south + high],
  [west, south + high],
];

export const path = (
  id: string,
  name: string,
  more: Pick<SetupPath, 'condition' | 'legs'> & Partial<SetupPath>,
): SetupPath => {
  const lengthM = pathLengthM(more);
  const stepM = lengthM > 200 ? 40 : 15;
  return {
    id,
    name,
    model: 'two-slope',
    distanceMethod: 'marked line',
    hazards: '',
    permission: 'the museum’s own ground',
    obstructions: [],
    checkpoints: Array.from({ length: Math.floor(lengthM / stepM) }, (_, i) => ({
      name: `${name.toLowerCase()} ${i + 1}`,
      atM: stepM * (i + 1),
    })),
    ...more,
  };
};

const SHED_WALL = { material: 'brick', thicknessM: 0.34 } as const;

const costs = (body: number, ...more: [string, number][]) => [
  { what: 'the product', amount: body },
  ...more.map(([what, amount]) => ({ what, amount })),
];

export const SLATE_WORKS: Setup = {
  ...EMPTY_SETUP,
  products: [
    product('ossimere', 'Ossimere Clip', {
      kindId: 'microphone',
      bandMHz: 2400,
      powerMw: 10,
      requiredDbm: -85,
      claim: '100 m',
      more: { costs: costs(140) },
    }),
    product('threnlow', 'Threnlow T2', {
      kindId: 'microphone',
      bandMHz: 2400,
      powerMw: 10,
      requiredDbm: -90,
      claim: '500 ft',
      more: { costs: costs(260, ['charging case', 40]) },
    }),
    product('quillon', 'Quillon View', {
      kindId: 'video-link',
      bandMHz: 5800,
      powerMw: 25,
      requiredDbm: -80,
      claim: '200 m',
      claims: [{ form: 'latency', entered: '80 ms', upTo: false }],
    }),
    product('ardpuck', 'Ardpuck Relay', {
      kindId: 'video-link',
      bandMHz: 5800,
      powerMw: 25,
      requiredDbm: -83,
      claim: '150 m',
      rig: { heightFixedM: 0.7 },
    }),
    product('larkbell', 'Larkbell Post', {
      kindId: 'speaker',
      bandMHz: 2400,
      powerMw: 6,
      requiredDbm: -82,
      claim: '60 m',
    }),
    product('mossgate', 'Mossgate Hub', {
      kindId: 'router',
      bandMHz: 5200,
      powerMw: 100,
      requiredDbm: -84,
      claim: '120 m',
    }),
    product('fennick', 'Fennick 6', {
      kindId: 'router',
      bandMHz: 2400,
      powerMw: 80,
      requiredDbm: -86,
      claim: '150 m',
      claims: [{ form: 'ratio', entered: '8 % farther', against: 'mossgate', upTo: false }],
    }),
    product('wickstep', 'Wickstep Lamp', {
      kindId: 'remote',
      bandMHz: 434,
      powerMw: 10,
      requiredDbm: -88,
      claim: '120 m',
    }),
    product('holmroe', 'Holmroe Pair', {
      kindId: 'two-way-radio',
      bandMHz: 446,
      powerMw: 500,
      requiredDbm: -66,
      claim: '2 km',
    }),
  ],
  paths: [
    path('incline', 'Incline', {
      condition: 'open',
      legs: [
        { lengthM: 240, bearingDeg: 72, riseM: 9, exposure: 'open' },
        { lengthM: 180, bearingDeg: 72, riseM: 8, exposure: 'open' },
      ],
      hazards: 'sleepers underfoot; a drop beside the footbridge',
      obstructions: [{ label: 'Footbridge', kind: 'fixed-loss', atM: 260, lossDb: 3 }],
    }),
    path('shed', 'Wagon Shed', {
      condition: 'obstructed',
      hazards: 'wagons on the move; couplings at knee height',
      legs: [
        { lengthM: 40, bearingDeg: 90, riseM: 0, exposure: 'obstructed' },
        { lengthM: 20, bearingDeg: 0, riseM: 0, exposure: 'obstructed' },
        { lengthM: 30, bearingDeg: 90, riseM: 0, exposure: 'obstructed' },
      ],
      features: [
        feature('w1', 'Ballast wagon', 'vehicle', box(18, 3, 7, 2.5), { heightM: 2.6 }),
        feature('w2', 'Box wagon', 'vehicle', box(44, 6, 8, 3), { heightM: 3.4 }),
        feature(
          's1',
          'Brick pier wall',
          'wall',
          [
            [34, 4],
            [34, 30],
          ],
          SHED_WALL,
        ),
      ],
    }),
    path('mill', 'Dressing Mill', {
      condition: 'obstructed',
      hazards: 'a stair without a rail on one side',
      legs: [
        { lengthM: 22, bearingDeg: 0, riseM: 0, exposure: 'indoor' },
        { lengthM: 16, bearingDeg: 90, riseM: 0, exposure: 'indoor' },
        { lengthM: 10, bearingDeg: 0, riseM: 4, exposure: 'indoor' },
        { lengthM: 22, bearingDeg: 270, riseM: 0, exposure: 'indoor' },
      ],
      features: [
        feature(
          'm1',
          'Slate wall',
          'wall',
          [
            [-14, 12],
            [30, 12],
          ],
          { lossDb: 11 },
        ),
        feature(
          'm2',
          'Brick wall',
          'wall',
          [
            [8, 12],
            [8, 40],
          ],
          SHED_WALL,
        ),
        feature('m3', 'Upper floor', 'floor', box(-14, 28, 44, 12), { lossDb: 14 }),
        feature('m4', 'Stair', 'steps', box(14, 22, 3, 9)),
      ],
    }),
    path('tips', 'Birch Tips', {
      condition: 'obstructed',
      hazards: 'loose spoil',
      legs: [{ lengthM: 160, bearingDeg: 205, riseM: 12, exposure: 'wooded' }],
      features: [
        feature('b1', 'Birch stand', 'trees', [
          [-12, -34],
          [-45, -50],
          [-75, -115],
          [-40, -125],
          [-18, -70],
        ]),
      ],
    }),
  ],
  stations: [
    {
      id: 'hub-tilt',
      what: 'Aerials of the hub',
      productId: 'mossgate',
      place: 'workshop door',
      quantity: 'level',
      direction: 'fixed-to-mobile',
      readings: [
        ['upright', -68],
        ['tilted', -63],
        ['flat', -71],
        ['tilted', -62],
        ['upright', -69],
        ['flat', -72],
        ['upright', -67],
        ['flat', -70],
        ['tilted', -63],
      ].map(([setting, value]) => ({ setting: String(setting), value: Number(value) })),
    },
  ],
  needs: [
    {
      id: 'picture',
      use: 'A picture to the workshop',
      entered: '',
      figure: '40 Mbit/s',
      condition: 'open',
      kindId: 'router',
      criterion: 'by kind',
    },
    {
      id: 'guide',
      use: 'Guide ahead of a group',
      entered: '60 m',
      condition: 'open',
      kindId: 'microphone',
      criterion: 'by kind',
    },
    {
      id: 'shed-talk',
      use: 'Talk among the wagons',
      entered: '25 m',
      condition: 'obstructed',
      kindId: 'microphone',
      criterion: 'by kind',
    },
    {
      id: 'monitor',
      use: 'Director’s monitor',
      entered: '40 m',
      condition: 'open',
      kindId: 'video-link',
      criterion: 'by kind',
    },
    {
      id: 'platform',
      use: 'Across the platform',
      entered: '25 m',
      condition: 'open',
      kindId: 'speaker',
      criterion: 'by kind',
    },
    {
      id: 'gate',
      use: 'Lamp at the upper gate',
      entered: '80 m',
      condition: 'open',
      kindId: 'remote',
      criterion: 'by kind',
    },
    {
      id: 'yard',
      use: 'Yard to mill office',
      entered: '100 m',
      condition: 'open',
      kindId: 'two-way-radio',
      criterion: 'by kind',
      side: 'both ways',
    },
  ],
  quoted: [
    {
      id: 'leaflet',
      productId: 'larkbell',
      pathId: 'incline',
      source: 'a leaflet (made up)',
      provenance: 'quoted',
      walks: 3,
      meanM: 100,
      bestM: 105,
      spreadM: 5,
    },
  ],
  latency: [
    {
      id: 'quillon-frames',
      productId: 'quillon',
      method: 'frames',
      framesPerS: 120,
      frames: [9, 10, 9, 11, 10, 9],
      baselineMs: 17,
    },
    {
      id: 'ardpuck-clock',
      productId: 'ardpuck',
      method: 'filmed clock',
      readings: [
        [4120, 3985],
        [6240, 6112],
        [9310, 9176],
        [12050, 11921],
      ],
      baselineMs: 34,
      refreshHz: 60,
    },
  ],
  currency: 'crowns',
  report: {
    disclosure: 'Nobody paid for this: place, products and walks are made up.',
    wording: [],
    withheld: { coordinates: true, names: false, notes: false, words: [] },
  },
  plan: {
    ...EMPTY_SETUP.plan,
    walksEach: 3,
    sigma: 0.2,
    day: '2026-05-13',
    startTime: '07:30',
    atFixedEnd: 'Base',
    atMobileEnd: 'Walker',
    secondChannel: 'field telephone',
  },
};

const stand = (m: number): LoggedAction['body'] => ({
  reading: { travelledM: m, method: 'marked line', pressed: true },
});

/** Mean margin at each stand of a walk out, dB. */
function marginsAt(
  simulatedGear: SimulatedGear,
  onPath: SetupPath,
  seed: string,
): { name: string; atM: number; marginDb: number }[] {
  const walk = startWalk(simulatedGear, onPath as Parameters<typeof startWalk>[1], seed);
  const near: { name: string; atM: number; marginDb: number }[] = [];
  let [sum, count] = [0, 0];
  for (const { name, atM } of onPath.checkpoints) {
    for (let tick = walk.step(); tick.travelledM < atM && !tick.standing; tick = walk.step()) {
      if (atM - tick.travelledM < 2) [sum, count] = [sum + tick.marginDb, count + 1];
    }
    near.push({ name, atM, marginDb: count > 0 ? sum / count : -40 });
    [sum, count] = [0, 0];
  }
  return near;
}

/** Margin, dB, at which half the presses are answered is 0; a tenth of a decade of odds a decibel. */
const answered = (random: Random, marginDb: number): boolean =>
  random.uniform() < 1 / (1 + Math.exp(-0.9 * marginDb));
const gradeOfMargin = (db: number): Grade => (db >= 8 ? 5 : db >= 5 ? 4 : db >= 3 ? 3 : db >= 0 ? 2 : 1);
/** No more than what is behind the link gives. */
const throughputOf = (marginDb: number, widthMHz: number, mostMbps: number): number | undefined => {
  const mbps = linkRateMbps(marginDb, widthMHz);
  return mbps === undefined ? undefined : Math.round(Math.min(mostMbps, mbps) * 10) / 10;
};
/** Below this margin a router on the upper band hands over to the lower one. */
const HAND_OVER_DB = 8;
const bandOf = (bandMHz: number, marginDb: number): string =>
  bandMHz > 5000 && marginDb >= HAND_OVER_DB ? '5 GHz' : '2.4 GHz';

/** What is wrong with the gear or the walks, on purpose; the audits must find it. */
export interface Faults {
  /** What is behind a router gives no more than this. */
  readonly mostMbps: Readonly<Record<string, number>>;
  /** The receiver at the fixed end is deaf by so much. */
  readonly fixedEndDeafDb: Readonly<Record<string, number>>;
  /** The product that is walked first in every round. */
  readonly leads: string | undefined;
}

export const NO_FAULTS: Faults = { mostMbps: {}, fixedEndDeafDb: {}, leads: undefined };
/** What the audits must find, by rule and product. */
export const PLANTED_FAULTS = [
  { what: 'one rig stands 0.9 m lower', rule: 'heights', products: ['quillon', 'ardpuck'] },
  { what: 'one product is always first', rule: 'order', products: ['ossimere', 'threnlow'] },
  { what: 'a throughput is capped by what is behind it', rule: 'cap', products: ['mossgate'] },
  { what: 'the receiver at the fixed end is deaf', rule: 'deaf-end', products: ['holmroe'] },
  { what: 'a claim is smaller than the step', rule: 'step', products: ['mossgate', 'fennick'] },
  { what: 'a mean that cannot be', rule: 'impossible-mean', products: ['larkbell'] },
] as const;

const PLANTED: Faults = { mostMbps: { mossgate: 94 }, fixedEndDeafDb: { holmroe: 18 }, leads: 'ossimere' };

const WORDS = [
  'slate',
  'lantern',
  'harrow',
  'copper',
  'thistle',
  'anvil',
  'mortar',
  'bracken',
  'gable',
  'ferry',
];
const freshWords = (random: Random): string[] =>
  Array.from({ length: 4 }, () => WORDS[Math.floor(random.uniform() * WORDS.length)] as string);

/** Stops at every checkpoint, by what is measured of the kind there. */
function atStands(
  item: { product: Product; rig: Rig; path: SetupPath },
  seed: string,
  { mostMbps, fixedEndDeafDb }: Faults,
): LoggedAction[] {
  const random = seeded(seed, 'stands');
  const actions: LoggedAction[] = [];
  const deafDb = fixedEndDeafDb[item.product.id] ?? 0;
  let [clockS, lastM] = [0, 0];
  for (const { name, atM, marginDb } of marginsAt(simulatedGearOf(item.product, item.rig), item.path, seed)) {
    clockS += (atM - lastM) / 1.4;
    lastM = atM;
    actions.push({ atS: clockS, kind: 'mark', body: { ...stand(atM), name } } as LoggedAction);
    clockS += 12;
    const reported = (kind: LoggedAction['kind'], body: object): void => {
      clockS += 4;
      actions.push({ atS: clockS, kind, body } as unknown as LoggedAction);
    };
    if (item.product.kindId === 'remote') {
      const hits = Array.from({ length: 10 }, () => answered(random, marginDb)).filter(Boolean).length;
      reported('hits', { presses: 10, hits, orientation: 'facing it' });
    } else if (item.product.kindId === 'router') {
      for (const direction of ['fixed-to-mobile', 'mobile-to-fixed'] as Direction[]) {
        for (let i = 0; i < 2; i++) {
          const value = throughputOf(
            marginDb + random.normal() - (direction === 'mobile-to-fixed' ? 3 : 0),
            (item.product.bandMHz ?? 0) > 5000 ? 80 : 20,
            mostMbps[item.product.id] ?? Infinity,
          );
          reported('measured', {
            quantity: 'throughput',
            direction,
            ...(value === undefined ? {} : { value }),
            band: bandOf(item.product.bandMHz ?? 0, marginDb),
          });
        }
      }
      const level = -84 + marginDb;
      reported('measured', {
        quantity: 'level',
        direction: 'fixed-to-mobile',
        ...(marginDb > -4 ? { value: Math.round(level) } : {}),
      });
    } else {
      for (const [direction, heardDb] of [
        ['fixed-to-mobile', marginDb],
        ['mobile-to-fixed', marginDb - deafDb],
      ] as const) {
        reported('call', {
          checkpoint: name,
          direction,
          grade: gradeOfMargin(heardDb),
          tries: heardDb < 0 ? 3 : 1,
        });
        const sent = freshWords(random);
        reported('readBack', {
          direction,
          sent: sent.join(' '),
          heard: sent.map((w) => (answered(random, heardDb - 1) ? w : '…')).join(' '),
        });
      }
    }
    actions.push({ atS: clockS + 1, kind: 'mark', body: { ...stand(atM), name } } as LoggedAction);
  }
  return [
    ...actions,
    { atS: clockS + 3, kind: 'end', body: { reason: 'path ended', ...stand(lastM) } } as LoggedAction,
  ];
}

const AT_STANDS = ['remote', 'router', 'two-way-radio'];

/** Walks over two made-up days, played by simulated gear with fixed seeds. */
export function slateWorksWalks(setup: Setup = SLATE_WORKS, faults: Faults = PLANTED): StoredWalk[] {
  let startedMs = Date.UTC(2026, 4, 13, 7, 30);
  const planned = plannedWalks(setup).map((slot, index) => ({ ...slot, index }));
  const rank = ({ item, index }: (typeof planned)[number]): number =>
    item.product.id === faults.leads ? index - planned.length : index;
  const roundOf = ({ item, round }: (typeof planned)[number]): string => `${item.path.id}/${round}`;
  const inOrder = planned
    .map((slot) => planned.filter((s) => roundOf(s) === roundOf(slot)))
    .flatMap(
      (round, i) => [...round].sort((a, b) => rank(a) - rank(b))[round.findIndex((s) => s.index === i)] ?? [],
    );
  return inOrder.map((slot) => {
    const { product: p, rig, path: onPath } = slot.item;
    const seed = `slate-works/${onPath.id}/${p.id}/${slot.index}`;
    const id = uuidFrom(seed);
    const stands = AT_STANDS.includes(p.kindId);
    const log = stands
      ? atStands(slot.item, seed, faults)
      : operate(
          startWalk(simulatedGearOf(p, rig), onPath as Parameters<typeof startWalk>[1], seed),
          seeded(seed, 'operator'),
        ).log;
    const begin: LoggedAction = {
      atS: 0,
      kind: 'begin',
      body: {
        baselineGrade: 5,
        direction: kindOf(p.kindId).direction,
        reading: { travelledM: 0, method: 'marked line', pressed: false },
        playoutDelayS: rig.playoutDelayS,
        simulatedSeed: seed,
        conditions: { weather: 'dry', leaf: 'in leaf' },
        ...(stands ? { mode: p.kindId === 'remote' ? 'hits' : 'stop and call' } : {}),
      },
    };
    const events = eventsOf(id, [begin, ...log], startedMs, slot.index * 10_000 + 1);
    const header = {
      id,
      comparisonId: SLATE_WORKS_ID,
      productId: p.id,
      rigId: rig.id,
      pathId: onPath.id,
      startedMs,
      slot: { round: slot.round, place: slot.place, variant: slot.item.variant },
    };
    startedMs += 1000 * ((events.at(-1)?.time.walkS ?? 0) + 240);
    return { header, log: events };
  });
}
