// npm run bench:sync -- ADDRESS [seconds]: 50 devices, 10 events a second each, against a running Urvek (an
// empty one is best).
import type { WalkEvent } from '@urvek/core';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';

/** As the start printed it, key and all. */
const [address = readFileSync('.urvek/address', 'utf8').trim(), seconds = '60'] = process.argv.slice(2);
const headers = {
  'content-type': 'application/json',
  'X-Urvek-Key': new URL(address).searchParams.get('key') ?? '',
};
const DEVICES = 50;
const PER_SECOND = 10;

const send = async (method: string, path: string, body: unknown): Promise<Response> => {
  const response = await fetch(new URL(`api${path}`, address), {
    method,
    headers,
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
  return response;
};

const comparisonId = randomUUID();
await send('POST', '/comparisons', { id: comparisonId, title: `Bench of ${DEVICES} devices`, question: '' });
const times: number[] = [];

async function device(n: number): Promise<number> {
  const [walkId, deviceId] = [randomUUID(), randomUUID()];
  await send('PUT', `/walks/${walkId}`, {
    id: walkId,
    comparisonId,
    productId: 'p',
    rigId: 'r',
    pathId: 'q',
    startedMs: Date.now(),
  });
  let seq = 0;
  const startMs = performance.now() + (1000 * n) / DEVICES;
  for (let s = 0; s < Number(seconds); s++) {
    await new Promise((resolve) => setTimeout(resolve, Math.max(0, startMs + 1000 * s - performance.now())));
    const events = Array.from({ length: PER_SECOND }, (): WalkEvent => ({
      walkId,
      deviceId,
      seq: ++seq,
      version: 1,
      kind: 'grade',
      body: { grade: 4 },
      time: { walkS: seq / PER_SECOND, rate: 1, inputMs: seq, originMs: 0, wallMs: seq },
    }));
    const sentMs = performance.now();
    await send('POST', `/walks/${walkId}/events`, { events });
    times.push(performance.now() - sentMs);
  }
  const log = (await (
    await fetch(new URL(`api/walks/${walkId}/events`, address), { headers })
  ).json()) as unknown[];
  return log.length;
}

const stored = await Promise.all(Array.from({ length: DEVICES }, (_, n) => device(n)));
times.sort((a, b) => a - b);
const at = (share: number): string =>
  (times[Math.min(times.length - 1, Math.floor(share * times.length))] as number).toFixed(1);
console.log(
  `${DEVICES} devices × ${PER_SECOND} events/s × ${seconds} s: ${stored.reduce((a, b) => a + b, 0)}` +
    ` of ${DEVICES * PER_SECOND * Number(seconds)} events stored; a sync call took ${at(0.5)} ms ` +
    `(median), ${at(0.95)} ms (p95), ${at(0.99)} ms (p99)`,
);
