// npm run bench:coverage [comparisons]: how often nominal 95 % intervals cover, over simulated comparisons
// of two products.
import { availableParallelism } from 'node:os';
import { Worker, isMainThread, parentPort, workerData } from 'node:worker_threads';
import { fileURLToPath } from 'node:url';
import { coverageOf, type CoverageCell, type CoverageCounts } from '@urvek/core';

const WALKS = [3, 5, 10, 30];
const SIGMAS = [0.1, 0.25, 0.5];
const SETTINGS = [
  { step: 1.05, censored: 0 },
  { step: 1.25, censored: 0 },
  { step: 1.05, censored: 0.4 },
  { step: 1.25, censored: 0.4 },
];

const cells: CoverageCell[] = SETTINGS.flatMap(({ step, censored }) =>
  SIGMAS.flatMap((sigma) =>
    WALKS.map((walksEach) => ({ walksEach, sigma, stepRatio: step, censoredShare: censored, ratio: 1.2 })),
  ),
);

const percent = (share: number): string => (100 * share).toFixed(1).padStart(6);

function row(cell: CoverageCell, c: CoverageCounts): string {
  const { walksEach, sigma, stepRatio, censoredShare } = cell;
  return [
    String(walksEach).padStart(5),
    sigma.toFixed(2).padStart(5),
    `${Math.round(100 * (stepRatio - 1))} %`.padStart(5),
    `${Math.round(100 * censoredShare)} %`.padStart(9),
    ...[c.median, c.p10, c.ratio].map(({ given, covering }) => percent(covering / given)),
    percent(c.oneSided / c.sets),
    percent(c.withoutInterval / c.sets),
  ].join(' ');
}

async function main(): Promise<void> {
  const comparisons = Number(process.argv[2] ?? 10_000);
  console.log(
    `${comparisons} comparisons a cell of two products; medians 100 m and 120 m; share (%) of the intervals given that cover; sets with one-sided walks and without an interval.`,
  );
  console.log('walks     σ  step  censored  median   p10  ratio  1-sided  none');
  const shim = fileURLToPath(new URL('./worker.mjs', import.meta.url));
  let next = 0;
  const done = new Map<number, CoverageCounts>();
  let printed = 0;
  await Promise.all(
    Array.from(
      { length: availableParallelism() },
      () =>
        new Promise<void>((resolve, reject) => {
          const worker = new Worker(shim, {
            workerData: { file: fileURLToPath(import.meta.url), comparisons },
          });
          const give = (): void => {
            if (next < cells.length) worker.postMessage(next++);
            else void worker.terminate().then(() => resolve());
          };
          worker.on('message', ({ index, counts }: { index: number; counts: CoverageCounts }) => {
            done.set(index, counts);
            for (let c = done.get(printed); c; c = done.get(++printed))
              console.log(row(cells[printed] as CoverageCell, c));
            give();
          });
          worker.on('error', reject);
          give();
        }),
    ),
  );
}

if (isMainThread) await main();
else
  parentPort?.on('message', (index: number) =>
    parentPort?.postMessage({
      index,
      counts: coverageOf(
        cells[index] as CoverageCell,
        (workerData as { comparisons: number }).comparisons,
        'coverage',
      ),
    }),
  );
