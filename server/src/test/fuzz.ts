import { seeded } from '@urvek/core';
import { request } from 'node:http';

/** What came of some hostile requests. */
export interface Fuzzed {
  readonly requests: number;
  readonly byStatus: Readonly<Record<string, number>>;
  /** Answers of 500 and above, by what was sent. */
  readonly failures: readonly string[];
  /** Requests without an answer within two seconds, or with an answer of more than a megabyte. */
  readonly hangs: readonly string[];
  readonly slowestMs: number;
}

const HANG_MS = 2000;
const LARGEST_ANSWER = 1_000_000;
const id = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Buffer;
}

const time = { walkS: 0, rate: 1, inputMs: 0, originMs: 0, wallMs: 0 };
const event = (seq: number, kind: string, body: object): object => ({
  ...{ walkId: id(2), deviceId: id(3), seq, version: 1, kind, time, body },
});
const header = { id: id(2), comparisonId: id(1), productId: 'p', rigId: 'r', pathId: 'q', startedMs: 0 };
const whole = {
  ...{ format: 'urvek-comparison', version: 3 },
  comparison: { id: id(4), title: 'File', question: '', simulated: false },
  setup: {},
  walks: [{ header: { ...header, id: id(5), comparisonId: id(4) }, log: [event(1, 'note', { text: 'a' })] }],
};

/** Good requests, of which bad ones are made. */
const GOOD: readonly { readonly method: string; readonly path: string; readonly body?: unknown }[] = [
  { method: 'GET', path: '/api/health' },
  { method: 'GET', path: '/api/comparisons' },
  { method: 'POST', path: '/api/comparisons', body: { id: id(1), title: 'Fuzz', question: '' } },
  { method: 'GET', path: `/api/comparisons/${id(1)}` },
  {
    method: 'PUT',
    path: `/api/comparisons/${id(1)}`,
    body: { title: 'Fuzz', question: '', setup: {}, revision: 1 },
  },
  { method: 'GET', path: `/api/comparisons/${id(1)}/findings?after=0_${id(1)}` },
  { method: 'GET', path: `/api/comparisons/${id(1)}/files/findings.csv` },
  {
    method: 'GET',
    path: `/api/comparisons/${id(1)}/walk-intervals.csv?criterion=usable&direction=to-mobile`,
  },
  { method: 'GET', path: `/api/comparisons/${id(1)}/comparison.json?private=kept` },
  { method: 'PUT', path: `/api/walks/${id(2)}`, body: header },
  {
    method: 'POST',
    path: `/api/walks/${id(2)}/events`,
    body: {
      events: [
        event(1, 'grade', { grade: 4 }),
        event(2, 'mark', { name: 'post 1' }),
        event(3, 'note', { text: 'n' }),
      ],
    },
  },
  { method: 'GET', path: `/api/walks/${id(2)}/events` },
  { method: 'POST', path: '/api/walks/held', body: { logs: [{ walkId: id(2), deviceId: id(3) }] } },
  { method: 'POST', path: '/api/comparisons/import', body: whole },
  { method: 'POST', path: `/api/comparisons/${id(1)}/walks`, body: { walks: whole.walks } },
  { method: 'GET', path: '/api/join/ABCD' },
  { method: 'POST', path: '/api/jobs', body: { comparisonId: id(1), name: 'findings.csv' } },
  { method: 'GET', path: `/api/jobs/${id(9)}` },
  { method: 'GET', path: '/assets/none.js' },
  { method: 'GET', path: '/api/lan' },
  { method: 'DELETE', path: `/api/lan/devices/${id(9)}` },
];

const deep = (levels: number): unknown => {
  let value: unknown = 1;
  for (let i = 0; i < levels; i++) value = [value];
  return value;
};
/** What nobody expects where a value stands. */
const HOSTILE: readonly (() => unknown)[] = [
  () => 'a\u0000b',
  () => 'half \ud83d pair',
  () => '\udc00',
  () => '𝒳'.repeat(30_000),
  () => 1e308,
  () => -1e308,
  () => 2 ** 53,
  () => 2 ** 31,
  () => -1,
  () => 0.5,
  () => 1e-300,
  () => null,
  () => true,
  () => [],
  () => ({}),
  () => ({ __proto__: null, toString: 1, constructor: { prototype: {} } }),
  () => '9999-99-99T99:99:99Z',
  () => 'DROP TABLE walk; --',
  () => '../../etc/passwd',
  () => deep(90),
  () => Array.from({ length: 5000 }, (_, i) => i),
  () => id(7),
  () => id(2).toUpperCase(),
];
const BODIES: readonly (() => Buffer | string)[] = [
  () => '',
  () => '{',
  () => '[]',
  () => 'null',
  () => '"text"',
  () => '\ufeff{}',
  () => '['.repeat(10_000) + ']'.repeat(10_000),
  () => '['.repeat(2000),
  () => '{"a":'.repeat(2000) + '1' + '}'.repeat(2000),
  () => Buffer.from('{"title":"\xff\xfe"}', 'latin1'),
  () => Buffer.from('{"title":"x"}', 'utf16le'),
  () => `[${'{},'.repeat(300_000)}{}]`,
  () => `{"events":[${'{},'.repeat(20_000)}{}]}`,
  () => '{"__proto__":{"a":1}}',
  () => `"${'\\u0000'.repeat(1000)}"`,
];
const HEADERS: readonly Readonly<Record<string, string>>[] = [
  { 'content-type': '' },
  { 'content-type': 'text/plain' },
  { 'content-type': 'application/json; charset=utf-7' },
  { 'content-type': 'application/json; charset=iso-8859-1' },
  { 'content-type': 'application/x-www-form-urlencoded' },
  { 'content-type': 'application/json', 'content-encoding': 'gzip' },
  { 'content-type': 'application/json', 'content-encoding': 'br, gzip' },
  { 'content-type': 'application/json', 'if-none-match': '"'.repeat(50) },
  { 'content-type': 'application/json', range: 'bytes=9-1' },
  { 'content-type': 'application/json', accept: '*/*;q=x' },
];
const TAILS = [
  '%00',
  '%ff',
  '%',
  '/..%2f..%2fetc/passwd',
  '?after=1&after=2',
  '?criterion[]=usable',
  '?criterion[a]=b',
  '?private=%ed%a0%80',
  `?after=${'9'.repeat(30)}_${id(1)}`,
  `/${'x'.repeat(5000)}`,
  '?'.repeat(200),
];

/** Replaces one value somewhere in it. */
function spoilt(value: unknown, pick: (n: number) => number): unknown {
  const hostile = (): unknown => (HOSTILE[pick(HOSTILE.length)] as () => unknown)();
  if (typeof value !== 'object' || value === null || pick(6) === 0) return hostile();
  if (Array.isArray(value)) {
    if (value.length === 0) return [hostile()];
    if (pick(4) === 0) return [...(value as unknown[]), ...(value as unknown[])];
    const at = pick(value.length);
    return value.map((v: unknown, i) => (i === at ? spoilt(v, pick) : v));
  }
  const entries = Object.entries(value);
  if (entries.length === 0 || pick(5) === 0) return { ...value, extra: hostile() };
  const at = pick(entries.length);
  if (pick(6) === 0) return Object.fromEntries(entries.filter((_, i) => i !== at));
  return Object.fromEntries(entries.map(([k, v], i) => [k, i === at ? spoilt(v, pick) : v]));
}

function hostileRequest(pick: (n: number) => number): Sent {
  const good = GOOD[pick(GOOD.length)] as (typeof GOOD)[number];
  const json = { 'content-type': 'application/json' };
  const body = good.body === undefined ? '' : JSON.stringify(good.body);
  switch (pick(6)) {
    case 0:
      return { ...good, headers: HEADERS[pick(HEADERS.length)] ?? json, body };
    case 1:
      return { ...good, headers: json, body: (BODIES[pick(BODIES.length)] as () => Buffer | string)() };
    case 2:
      return { ...good, path: good.path + (TAILS[pick(TAILS.length)] ?? ''), headers: json, body };
    case 3:
      return {
        ...good,
        method: ['PATCH', 'DELETE', 'OPTIONS', 'POST', 'PUT'][pick(5)] ?? 'PUT',
        headers: json,
        body,
      };
    default:
      return {
        ...good,
        headers: json,
        body: good.body === undefined ? '' : JSON.stringify(spoilt(good.body, pick)),
      };
  }
}

function send(
  url: string,
  { method, path, headers, body }: Sent,
): Promise<{ status: number; bytes: number }> {
  return new Promise((resolve) => {
    const { hostname, port } = new URL(url);
    const sent = request(
      { hostname, port, method, path, headers, insecureHTTPParser: true, timeout: HANG_MS },
      (response) => {
        let bytes = 0;
        response.on('data', (data: Buffer) => (bytes += data.length));
        response.on('close', () => resolve({ status: response.statusCode ?? 0, bytes }));
      },
    );
    sent.once('timeout', () => sent.destroy(new Error('timeout')));
    // A body that is refused while it is still sent may end in a reset: an answer all the same.
    sent.once('error', (error: Error & { code?: string }) =>
      resolve({ status: error.message === 'timeout' ? 0 : 400, bytes: 0 }),
    );
    sent.end(body);
  });
}

/** Sends hostile requests, one after another, and counts what comes back. */
export async function fuzz(url: string, requests: number, seed: string): Promise<Fuzzed> {
  const random = seeded(seed);
  const pick = (n: number): number => Math.floor(random.uniform() * n);
  const byStatus: Record<string, number> = {};
  const [failures, hangs]: [string[], string[]] = [[], []];
  let slowestMs = 0;
  for (const good of GOOD)
    await send(url, {
      ...good,
      headers: { 'content-type': 'application/json' },
      body: good.body === undefined ? '' : JSON.stringify(good.body),
    });
  for (let i = 0; i < requests; i++) {
    const sent = hostileRequest(pick);
    const since = performance.now();
    const { status, bytes } = await send(url, sent);
    slowestMs = Math.max(slowestMs, performance.now() - since);
    byStatus[status] = (byStatus[status] ?? 0) + 1;
    const said = [
      sent.method,
      sent.path.slice(0, 90),
      JSON.stringify(sent.headers),
      String(sent.body).slice(0, 400),
    ].join(' ');
    if (status >= 500) failures.push(`${status}: ${said}`);
    if (status === 0 || bytes > LARGEST_ANSWER) hangs.push(said);
  }
  return { requests, byStatus, failures, hangs, slowestMs };
}
