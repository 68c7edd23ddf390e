import { PROBE_SOCKET_PATH, type DatagramKind } from '@urvek/contract';
import type { DatagramChannel, ProbePorts } from '@urvek/probe';
import { randomFillSync } from 'node:crypto';
import { createSocket } from 'node:dgram';
import { lookup } from 'node:dns/promises';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { WebSocket } from 'ws';

/** A server and what it must be shown. */
export interface Reached {
  readonly origin: string;
  /** Certificate of the authority that vouches for it; absent: those that this machine trusts. */
  readonly ca: string | undefined;
  readonly headers: Readonly<Record<string, string>>;
}

const CONNECT_MS = 10_000;
const GREET_MS = 100;
const ANSWER_MS = 5000;

/** What a run of a probe needs, as Node has it. */
export function nodePorts({ origin, ca, headers }: Reached, ticket: string): ProbePorts {
  const lag = monitorEventLoopDelay({ resolution: 10 });
  lag.enable();
  let [cpu, sinceMs] = [process.cpuUsage(), performance.now()];
  return {
    connect: (role, heard) =>
      new Promise((resolve, reject) => {
        const url = `${origin.replace(/^http/, 'ws')}${PROBE_SOCKET_PATH}?role=${role}&ticket=${ticket}`;
        const socket = new WebSocket(url, {
          ...{ perMessageDeflate: false, headers, handshakeTimeout: CONNECT_MS },
          ...(ca === undefined ? {} : { ca }),
        });
        // Ended is what had begun: one that never opened is refused below.
        let closing = true;
        socket.on('message', (data: Buffer, binary) => {
          if (binary) heard.bytes?.(data);
          else heard.text?.(data.toString('utf8'));
        });
        socket.on('error', (error) => reject(error));
        socket.on('close', (_code, reason) => {
          if (!closing) heard.ended?.(reason.toString() || 'the connection was closed');
        });
        socket.on('open', () => {
          closing = false;
          resolve({
            get bufferedAmount() {
              return socket.bufferedAmount;
            },
            send: (data) => {
              if (socket.readyState === WebSocket.OPEN) socket.send(data);
            },
            close: () => {
              closing = true;
              socket.terminate();
            },
          });
        });
      }),
    nowMs: () => performance.now(),
    wait: (ms) =>
      ms === 0
        ? new Promise((resolve) => setImmediate(resolve))
        : new Promise((resolve) => setTimeout(resolve, ms)),
    noise: (bytes) => randomFillSync(new Uint8Array(bytes)),
    load: () => {
      const used = process.cpuUsage(cpu);
      const spentMs = performance.now() - sinceMs;
      const load = {
        longestLagMs: lag.max / 1e6,
        cpuShare: spentMs > 0 ? (used.user + used.system) / 1000 / spentMs : undefined,
      };
      lag.reset();
      [cpu, sinceMs] = [process.cpuUsage(), performance.now()];
      return load;
    },
    datagrams: (answer, came) =>
      plainDatagrams(new URL(origin).hostname.replace(/^\[|\]$/g, ''), answer, came),
  };
}

/** Plain UDP: the server answers the word that was agreed on, or nothing comes through. */
async function plainDatagrams(
  host: string,
  answer: (kind: DatagramKind, offer: string) => Promise<string>,
  came: (data: Uint8Array) => void,
): Promise<DatagramChannel> {
  const word = randomFillSync(Buffer.alloc(16)).toString('hex');
  const port = Number(await answer('plain', word));
  const { address, family } = await lookup(host);
  const socket = createSocket(family === 6 ? 'udp6' : 'udp4');
  const close = (): void => void socket.close();
  let greeting: NodeJS.Timeout | undefined;
  try {
    await new Promise<void>((resolve, reject) => {
      socket.on('error', reject);
      socket.on('message', (data) => {
        if (data.toString('latin1') === word) resolve();
        else came(data);
      });
      socket.connect(port, address, () => {
        const greet = (): void => socket.send(word);
        greet();
        // Any of them may be lost.
        greeting = setInterval(greet, GREET_MS);
      });
      setTimeout(
        () => reject(new Error('no datagram came back in 5 s: something between may let none through')),
        ANSWER_MS,
      ).unref();
    });
  } catch (error) {
    close();
    throw error;
  } finally {
    clearInterval(greeting);
  }
  return { bufferedAmount: 0, send: (data) => socket.send(data), close };
}
