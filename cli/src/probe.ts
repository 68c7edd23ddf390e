import type { ProbeTicket } from '@urvek/contract';
import { runProbe, type LoadedRate, type ProbeResult, type ProbeWay } from '@urvek/probe';
import { readFileSync } from 'node:fs';
import { request as plain } from 'node:http';
import { request as secure } from 'node:https';
import { BadInput } from './badInput.ts';
import { nodePorts, type Reached } from './nodePorts.ts';

export interface ProbeOptions {
  readonly json?: true;
  readonly seconds?: string;
  readonly streams?: string;
  readonly ways?: string;
  readonly budget?: string;
  readonly loss?: false;
  readonly authority?: string;
  readonly device?: string;
}

/** A run takes this longer than its ways: at rest, between them, and for loss. */
const AROUND_S = 45;
const COOKIE = '__Host-urvek-device';

const figure = (name: string, text: string, least: number, most: number): number => {
  const value = Number(text);
  if (!(value >= least && value <= most)) throw new BadInput(`--${name} ${text}: from ${least} to ${most}`);
  return value;
};

function waysOf(text: string): ProbeWay[] {
  const ways = text.split(',').map((w) => w.trim());
  const known: readonly ProbeWay[] = ['down', 'up', 'both'];
  return ways.map((w) => {
    const found = known.find((k) => k === w);
    if (!found) throw new BadInput(`--ways ${w}: there are ${known.join(', ')}`);
    return found;
  });
}

/**
 * The `probe` command: application throughput, round trips and loss between here and a running Urvek.
 * @throws BadInput
 */
export async function probe(
  address: string,
  options: ProbeOptions,
): Promise<{ readonly out: string; readonly failed: boolean }> {
  const seconds = figure('seconds', options.seconds ?? '8', 4, 30);
  const streams = figure('streams', options.streams ?? '4', 2, 6);
  const budgetBytes = 1e6 * figure('budget', options.budget ?? '4000', 1, 4000);
  const ways = waysOf(options.ways ?? 'down,up');
  const server = serverOf(address, options);
  const ticket = await ask(server, Math.ceil(ways.length * (seconds + 1) + AROUND_S));
  const result =
    typeof ticket === 'string'
      ? noConnection(ticket)
      : await runProbe(nodePorts(server, ticket.ticket), {
          ...{ seconds, streams, ways, budgetBytes, datagrams: options.loss !== false },
          stopped: () => undefined,
        });
  const sameMachine = typeof ticket === 'string' ? false : ticket.sameMachine;
  return {
    out: options.json
      ? `${JSON.stringify(jsonOf(result, sameMachine, server), null, 1)}\n`
      : textOf(result, sameMachine, server),
    failed: result.outcome !== 'done',
  };
}

const noConnection = (why: string): ProbeResult => ({
  ...{ outcome: 'no connection', why, seconds: 0, bytes: 0, idle: undefined, down: undefined, up: undefined },
  ...{ both: undefined, datagrams: undefined, limitedBy: undefined, cutShort: undefined },
});

function serverOf(address: string, { authority, device }: ProbeOptions): Reached {
  let url: URL;
  try {
    url = new URL(address);
  } catch {
    throw new BadInput(`${address}: not an address; it is the one that Urvek printed at its start`);
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    throw new BadInput(`${address}: begins with http or https`);
  const key = url.searchParams.get('key');
  let ca: string | undefined;
  try {
    ca = authority === undefined ? undefined : readFileSync(authority, 'utf8');
  } catch (error) {
    throw new BadInput(`--authority ${authority}: ${(error as Error).message}`);
  }
  return {
    origin: url.origin,
    ca,
    headers: {
      ...(key === null ? {} : { 'X-Urvek-Key': key }),
      ...(device === undefined ? {} : { Cookie: `${COOKIE}=${device}` }),
    },
  };
}

/** The turn to measure; or why there is no connection. @throws BadInput where the server refuses */
function ask({ origin, ca, headers }: Reached, seconds: number): Promise<ProbeTicket | string> {
  const body = JSON.stringify({ seconds: Math.min(120, seconds) });
  const send = origin.startsWith('https:') ? secure : plain;
  return new Promise((resolve, reject) => {
    const asked = send(
      `${origin}/api/probe`,
      { method: 'POST', ca, headers: { ...headers, 'Content-Type': 'application/json' }, timeout: 10_000 },
      (response) => {
        let text = '';
        response.setEncoding('utf8').on('data', (part: string) => (text += part));
        response.on('end', () => {
          if (response.statusCode === 201) return resolve(JSON.parse(text) as ProbeTicket);
          return reject(new BadInput(`${origin} refused: ${whatOf(text, response.statusCode)}`));
        });
      },
    );
    asked.on('timeout', () => asked.destroy(new Error('no answer for 10 s')));
    asked.on('error', (error) => resolve(error.message));
    asked.end(body);
  });
}

function whatOf(text: string, status = 0): string {
  try {
    const { what, todo } = JSON.parse(text) as { what?: string; todo?: string };
    return [what, todo].filter((t) => t !== undefined).join(' ');
  } catch {
    return `answer ${status}`;
  }
}

const rateJson = (of: LoadedRate | undefined) =>
  of
    ? {
        mbps: of.rate.mbps,
        sample_least_mbps: of.rate.leastMbps,
        sample_median_mbps: of.rate.medianMbps,
        sample_most_mbps: of.rate.mostMbps,
        samples: of.rate.samples,
        silent_samples: of.rate.silent,
        seconds: of.rate.seconds,
        loaded_rtt_ms: of.loaded?.medianMs ?? null,
        loaded_rtt_p95_ms: of.loaded?.p95Ms ?? null,
        rtt_rise_ms: of.riseMs ?? null,
      }
    : null;

function jsonOf(result: ProbeResult, sameMachine: boolean, { origin }: Reached): object {
  const { idle, datagrams } = result;
  const way = (of: 'down' | 'up') =>
    datagrams && 'down' in datagrams
      ? {
          sent: datagrams[of].sent,
          received: datagrams[of].received,
          loss_pct: 100 * datagrams[of].loss,
          jitter_ms: datagrams[of].jitterMs ?? null,
        }
      : null;
  return {
    what: 'application throughput',
    server: origin,
    encrypted: origin.startsWith('https:'),
    outcome: result.outcome,
    why: result.why ?? null,
    cut_short: result.cutShort ?? null,
    rehearsal: sameMachine,
    limited_by: result.limitedBy ?? null,
    seconds: result.seconds,
    bytes: result.bytes,
    rtt_ms: idle
      ? {
          ...{ n: idle.n, median: idle.medianMs, p95: idle.p95Ms, worst: idle.worstMs },
          ...{ variation: idle.variationMs, unanswered: idle.unanswered, longest_stall: idle.longestStallMs },
        }
      : null,
    down: rateJson(result.down),
    up: rateJson(result.up),
    both: result.both ? { down_mbps: result.both.down.mbps, up_mbps: result.both.up.mbps } : null,
    loss: datagrams && 'none' in datagrams ? { none: datagrams.none } : { down: way('down'), up: way('up') },
  };
}

const riseText = (ms: number | undefined): string =>
  ms === undefined ? '' : `, round trip ${ms >= 0 ? '+' : '−'}${Math.abs(ms).toFixed(1)} ms under load`;

function textOf(result: ProbeResult, sameMachine: boolean, { origin }: Reached): string {
  const { idle, down, up, both, datagrams } = result;
  const rate = (name: string, of: LoadedRate | undefined): string[] =>
    of
      ? [
          `${name.padEnd(5)} ${of.rate.mbps.toFixed(1)} Mbit/s (samples ${of.rate.leastMbps.toFixed(1)} to ` +
            `${of.rate.mostMbps.toFixed(1)})` +
            riseText(of.riseMs),
        ]
      : [];
  const lost = (['down', 'up'] as const).flatMap((w) =>
    datagrams && 'down' in datagrams
      ? [
          `loss  ${w} ${(100 * datagrams[w].loss).toFixed(1)} % of ${datagrams[w].sent}, jitter ` +
            `${datagrams[w].jitterMs?.toFixed(1) ?? 'not known'} ms`,
        ]
      : [],
  );
  return [
    `application throughput between here and ${origin}, ${origin.startsWith('https:') ? 'encrypted' : 'plain'}`,
    ...(result.outcome === 'done' ? [] : [`${result.outcome}: ${result.why ?? ''}`]),
    ...(sameMachine
      ? ['a rehearsal: both ends are this machine, no link lies between, and this is no result']
      : []),
    ...(idle
      ? [
          `at rest: round trip ${idle.medianMs.toFixed(1)} ms (95 % ${idle.p95Ms.toFixed(1)}, worst ` +
            `${idle.worstMs.toFixed(1)})`,
        ]
      : []),
    ...rate('down', down),
    ...rate('up', up),
    ...(both ? [`both  down ${both.down.mbps.toFixed(1)}, up ${both.up.mbps.toFixed(1)} Mbit/s`] : []),
    ...lost,
    ...(datagrams && 'none' in datagrams ? [`loss  not measured: ${datagrams.none}`] : []),
    ...(result.limitedBy === undefined ? [] : [result.limitedBy]),
    '',
  ].join('\n');
}
