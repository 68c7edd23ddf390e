import {
  PROBE_ROLES,
  PROBE_SOCKET_PATH,
  readProbeAsk,
  type ProbeRole,
  type ProbeTell,
} from '@urvek/contract';
import { randomFillSync } from 'node:crypto';
import type { IncomingMessage, Server } from 'node:http';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import type { Duplex } from 'node:stream';
import { WebSocketServer, type WebSocket } from 'ws';
import { shut } from '../sockets.ts';
import { openChannel } from './channel.ts';
import type { DatagramEnd } from './datagrams.ts';
import type { ProbeDesk, Turn } from './desk.ts';
import { openPlain } from './plainDatagrams.ts';

/** What a turn may send in all, bytes. */
const MOST_BYTES = 4e9;
/** So much is given to a stream ahead of what has left, bytes. */
const AHEAD_BYTES = 1 << 20;
const CHUNK_BYTES = 1 << 16;
const COUNT_MS = 200;
const MOST_MESSAGE_BYTES = 1 << 17;

/** Noise that no one can compress, and of which no chunk is like the one before. */
const NOISE = randomFillSync(new Uint8Array(1 << 21));
const chunk = (): Uint8Array => {
  const from = Math.floor(Math.random() * (NOISE.byteLength - CHUNK_BYTES));
  return NOISE.subarray(from, from + CHUNK_BYTES);
};

/** What the connections of one run share. */
interface Measured {
  received: number;
  sent: number;
  datagrams: DatagramEnd | undefined;
  /** At which the device reached this server. */
  readonly address: string;
}

/**
 * The server's end of a probe, on a server that listens already: connections are taken by their ticket only, from
 * whom this server is addressed by its own name. @returns what ends those that are open
 */
export function openProbeSockets(
  server: Server,
  desk: ProbeDesk,
  fits: (request: IncomingMessage) => boolean,
): () => void {
  const sockets = new WebSocketServer({
    noServer: true,
    perMessageDeflate: false,
    maxPayload: MOST_MESSAGE_BYTES,
  });
  const runs = new WeakMap<Turn, Measured>();
  server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
    const url = new URL(request.url ?? '/', 'http://probe');
    const role = PROBE_ROLES.find((r) => r === url.searchParams.get('role'));
    const turn = desk.of(url.searchParams.get('ticket') ?? '');
    if (url.pathname !== PROBE_SOCKET_PATH) return;
    if (!role || !turn || !fits(request)) return shut(socket);
    const measured = runs.get(turn) ?? {
      ...{ received: 0, sent: 0, datagrams: undefined },
      address: request.socket.localAddress ?? '::',
    };
    runs.set(turn, measured);
    sockets.handleUpgrade(request, socket, head, (ws) => {
      desk.opened(turn);
      ws.on('error', () => ws.terminate());
      // A device that went away without a word keeps nobody waiting.
      const over = setTimeout(() => ws.terminate(), desk.leftMs(turn));
      ws.once('close', () => {
        clearTimeout(over);
        if (role === 'control') measured.datagrams?.close();
        desk.closed(turn);
      });
      SERVES[role](ws, measured);
    });
  });
  return () => {
    for (const ws of sockets.clients) ws.terminate();
  };
}

const SERVES: Readonly<Record<ProbeRole, (ws: WebSocket, measured: Measured) => void>> = {
  echo: (ws) => ws.on('message', (data: Buffer) => ws.send(data)),
  up: (ws, measured) =>
    ws.on('message', (data: Buffer) => {
      measured.received += data.byteLength;
      if (measured.received > MOST_BYTES) ws.close(1008, 'enough');
    }),
  down: (ws, measured) => ws.once('message', () => pour(ws, measured)),
  control: serveControl,
};

/** Fills a stream as fast as it takes it. */
function pour(ws: WebSocket, measured: Measured): void {
  if (ws.readyState !== ws.OPEN) return;
  if (measured.sent > MOST_BYTES) return ws.close(1008, 'enough');
  const data = chunk();
  measured.sent += data.byteLength;
  const full = ws.bufferedAmount > AHEAD_BYTES;
  // Where it is full, the chunk's own leaving tells when there is room; else the next turn of the loop.
  if (full) return ws.send(data, () => pour(ws, measured));
  ws.send(data);
  setImmediate(() => pour(ws, measured));
  return undefined;
}

function serveControl(ws: WebSocket, measured: Measured): void {
  const tell = (what: ProbeTell): void => {
    if (ws.readyState === ws.OPEN) ws.send(JSON.stringify(what));
  };
  const lag = monitorEventLoopDelay({ resolution: 10 });
  lag.enable();
  let [cpu, sinceMs] = [process.cpuUsage(), performance.now()];
  let counting: NodeJS.Timeout | undefined;
  const count = (): void => tell({ say: 'counted', atMs: performance.now(), bytes: measured.received });
  ws.once('close', () => {
    clearInterval(counting);
    lag.disable();
  });
  ws.on('message', (data: Buffer) => {
    try {
      const ask = readProbeAsk(data.toString('utf8'));
      switch (ask.say) {
        case 'count':
          clearInterval(counting);
          if (ask.on) {
            measured.received = 0;
            count();
            counting = setInterval(count, COUNT_MS);
          }
          return;
        case 'offer':
          return void (
            ask.kind === 'plain' ? openPlain(ask.text, measured.address) : openChannel(ask.text)
          ).then(
            ({ end, answer }) => {
              // The device went away meanwhile: nobody else would close it.
              if (ws.readyState !== ws.OPEN) return end.close();
              measured.datagrams?.close();
              measured.datagrams = end;
              return tell({ say: 'answer', text: answer });
            },
            (error: unknown) => tell({ say: 'no datagrams', why: (error as Error).message }),
          );
        case 'send datagrams':
          return measured.datagrams?.send(ask.count, ask.everyMs);
        case 'arrivals':
          return tell({ say: 'arrivals', arrivals: measured.datagrams?.arrivals() ?? [] });
        case 'load': {
          const used = process.cpuUsage(cpu);
          const spentMs = performance.now() - sinceMs;
          tell({
            say: 'load',
            longestLagMs: lag.max / 1e6,
            cpuShare: spentMs > 0 ? (used.user + used.system) / 1000 / spentMs : 0,
          });
          lag.reset();
          [cpu, sinceMs] = [process.cpuUsage(), performance.now()];
        }
      }
    } catch {
      ws.close(1008, 'not understood');
    }
  });
}
