// npm run bench: what the heavy parts take on this machine, in one run.
import {
  fitRanges,
  predictPath,
  seeded,
  simulatePower,
  summariseRanges,
  traceWalk,
  turnbull,
  type Path,
  type Trace,
  type WalkEvent,
  type WalkInterval,
} from '@urvek/core';
import { tapeScene, timeLineScene, travelledGround, walkLanes } from '@urvek/draw';
import { findWalks, rangesByPath } from '@urvek/study';
import { cpus } from 'node:os';
import { demoWalks, DEMO_SETUP } from '../server/src/demo/cindermoor.ts';

/** Median of `runs` timings, after as many to warm up. */
function median(runs: number, work: () => unknown): number {
  for (let i = 0; i < runs; i++) work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)] as number;
}

function simulatedWalks(products: number, paths: number, walks: number): WalkInterval[] {
  const random = seeded('bench');
  return Array.from({ length: products * paths * walks }, (_, i) => {
    const d = 100 * (1 + (i % products) / 5) * Math.exp(0.25 * random.normal());
    const step = Math.floor(Math.log(d) / Math.log(1.1));
    return {
      product: `P${i % products}`,
      path: `path ${Math.floor(i / products) % paths}`,
      walk: String(i),
      heldM: 1.1 ** step,
      failedM: d > 200 ? undefined : 1.1 ** (step + 1),
    };
  });
}

const wallPath: Path = {
  id: 'bench',
  name: 'bench',
  condition: 'obstructed',
  model: 'two-ray',
  legs: [{ lengthM: 500, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  checkpoints: [],
  obstructions: [
    { label: 'wall', kind: 'slab', atM: 40, material: 'brick', thicknessM: 0.1 },
    { label: 'hedge', kind: 'foliage', atM: 60, toM: 80 },
    { label: 'ridge', kind: 'knife-edge', atM: 200, heightM: 4 },
    { label: 'shed', kind: 'fixed-loss', atM: 300, lossDb: 6 },
  ],
};

const nineSixty = simulatedWalks(5, 6, 32);
const demo = demoWalks();
const findings = findWalks(DEMO_SETUP, demo);
const events = demo.reduce((sum, w) => sum + w.log.length, 0);
/** One long walk: an hour of everything, ten events a second. */
const longWalk = (() => {
  const [first] = demo;
  if (!first) throw new RangeError('the demo has no walk');
  const begin = first.log.find((e) => e.kind === 'begin') as WalkEvent;
  const at = (i: number): WalkEvent['time'] => ({
    walkS: i / 10,
    rate: 1,
    inputMs: i * 100,
    originMs: 0,
    wallMs: i * 100,
  });
  const log = Array.from(
    { length: 36_000 },
    (_, i) =>
      (i === 0
        ? begin
        : {
            ...begin,
            seq: i + 2,
            time: at(i),
            ...(i % 10 === 0
              ? {
                  kind: 'mark',
                  body: { reading: { travelledM: Math.min(420, i / 90), method: 'wheel', pressed: false } },
                }
              : { kind: 'grade', body: { grade: 1 + ((i >> 6) % 5) } }),
          }) as WalkEvent,
  );
  return log;
})();
/** So many walks end at a few posts only: 100,000 rows hold some hundreds of distinct ones. */
const hundredThousand = ((): WalkInterval[] => {
  const random = seeded('100,000 walks');
  return Array.from({ length: 100_000 }, (_, i) => {
    const [product, path] = [i % 5, Math.floor(i / 5) % 3];
    const post = Math.floor(20 + product + 4 * path + 4 * random.normal());
    return {
      product: `P${product}`,
      path: `path ${path}`,
      walk: String(i),
      heldM: 1.2 ** post,
      failedM: 1.2 ** (post + 1),
      heldUM: 0.05 * 1.2 ** post,
    };
  });
})();
const longTrace = traceWalk(longWalk, { path: DEMO_SETUP.paths[0] as Path }) as Trace;
const rows: [string, number][] = [
  [
    'a log of 36,000 events reduced to its trace',
    median(10, () => traceWalk(longWalk, { path: DEMO_SETUP.paths[0] as Path })),
  ],
  [
    'the same log as two pictures: tape and time line',
    median(10, () => [
      tapeScene({
        title: 'x',
        ground: travelledGround(DEMO_SETUP.paths[0] as Path),
        unit: 'm',
        measure: 'travelled',
        lanes: walkLanes(longTrace, 'out', 'x'),
      }),
      timeLineScene({ trace: longTrace, log: longWalk, width: 1160, fromS: 0, toS: longTrace.endS }),
    ]),
  ],
  ['960 walks, 10 parameters and σ: the fit alone', median(60, () => fitRanges(nineSixty))],
  ['the estimate without a model (Turnbull) of 960 intervals', median(5, () => turnbull(nineSixty))],
  [
    '12 walks, 2 products: fit and all profile intervals',
    median(20, () => summariseRanges(simulatedWalks(2, 1, 6))),
  ],
  [
    '960 walks, 5 products × 6 paths (10 parameters and σ): the same',
    median(3, () => summariseRanges(simulatedWalks(5, 6, 32))),
  ],
  [
    '100,000 walks at posts, 5 products × 3 paths, places known to 5 %: the same',
    median(3, () => summariseRanges(hundredThousand)),
  ],
  [
    `demo: ${demo.length} logs of ${events} events reduced to outcomes`,
    median(10, () => findWalks(DEMO_SETUP, demo)),
  ],
  [
    '2,000 simulated comparisons of 2 products × 6 walks',
    median(1, () => simulatePower({ ratio: 1.25, sigma: 0.2, walksEach: 6, stepRatio: 1.05 }, 2000, 'bench')),
  ],
  [
    'prediction along 500 m in steps of 0.5 m, four obstructions',
    median(10, () =>
      predictPath(wallPath, {
        frequencyMHz: 2400,
        eirpDbm: 20,
        receiveGainDbi: 0,
        requiredDbm: -85,
        heightsM: [1.5, 1.5],
      }),
    ),
  ],
  ['demo: estimates of its path', median(10, () => rangesByPath(DEMO_SETUP, findings, 'first dropout'))],
];
console.log(`Node ${process.version}, ${cpus().length} × ${cpus()[0]?.model.trim()}`);
for (const [what, ms] of rows) console.log(`${ms.toFixed(1).padStart(9)} ms  ${what}`);
