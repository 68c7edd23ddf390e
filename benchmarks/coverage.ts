// npm run bench:coverage [comparisons]: how much of what is published is true, over simulated comparisons of two
// products that reach equally far, walked as people walk. Prints the table of docs/intervals.md.
import { availableParallelism } from 'node:os';
import { Worker, isMainThread, parentPort, workerData } from 'node:worker_threads';
import { fileURLToPath } from 'node:url';
import { PUBLISHED_ROWS, type PublishedRow } from './coverageRows.ts';

const comparisons = Number(
  (workerData as { comparisons?: number } | null)?.comparisons ?? process.argv[2] ?? 1000,
);

async function main(): Promise<void> {
  console.log(`${comparisons} comparisons a row.`);
  const shim = fileURLToPath(new URL('./worker.mjs', import.meta.url));
  let [next, printed] = [0, 0];
  const done = new Map<number, string>();
  await Promise.all(
    Array.from(
      { length: availableParallelism() },
      () =>
        new Promise<void>((resolve, reject) => {
          const worker = new Worker(shim, {
            workerData: { file: fileURLToPath(import.meta.url), comparisons },
          });
          const give = (): void => {
            if (next < PUBLISHED_ROWS.length) worker.postMessage(next++);
            else void worker.terminate().then(() => resolve());
          };
          worker.on('message', ({ index, row }: { index: number; row: string }) => {
            done.set(index, row);
            for (let line = done.get(printed); line !== undefined; line = done.get(++printed)) {
              const { head } = PUBLISHED_ROWS[printed] as PublishedRow;
              if (head !== PUBLISHED_ROWS[printed - 1]?.head) for (const text of head) console.log(text);
              console.log(line);
            }
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
    parentPort?.postMessage({ index, row: (PUBLISHED_ROWS[index] as PublishedRow).run(comparisons) }),
  );
