import { PROBE_SOCKET_PATH } from '@urvek/contract';
import type { DatagramChannel, ProbePorts } from '@urvek/probe';
import { randomFillSync } from 'node:crypto';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { RTCPeerConnection } from 'werift';
import { WebSocket } from 'ws';

/** A server and what it must be shown. */
export interface Reached {
  readonly origin: string;
  /** Certificate of the authority that vouches for it; absent: those that this machine trusts. */
  readonly ca: string | undefined;
  readonly headers: Readonly<Record<string, string>>;
}

const CONNECT_MS = 10_000;

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
    datagrams: openChannel,
  };
}

async function openChannel(
  answer: (offer: string) => Promise<string>,
  came: (data: Uint8Array) => void,
): Promise<DatagramChannel> {
  const peer = new RTCPeerConnection({ iceServers: [] });
  const channel = peer.createDataChannel('datagrams', { ordered: false, maxRetransmits: 0 });
  channel.onMessage.subscribe((data) => {
    if (typeof data !== 'string') came(data);
  });
  let slow: NodeJS.Timeout | undefined;
  try {
    const opened = new Promise<void>((resolve) => {
      channel.stateChanged.subscribe((state) => {
        if (state === 'open') resolve();
      });
    });
    await peer.setLocalDescription(await peer.createOffer());
    const sdp = await answer(peer.localDescription?.sdp ?? '');
    await peer.setRemoteDescription({ type: 'answer', sdp });
    const late = new Promise<never>((_, reject) => {
      slow = setTimeout(() => reject(new Error('the datagram channel did not open in 10 s')), CONNECT_MS);
    });
    await Promise.race([opened, late]);
  } catch (error) {
    // What stays open keeps the command from its end.
    await peer.close();
    throw error;
  } finally {
    clearTimeout(slow);
  }
  // This library takes no retransmission for as many as it likes; half of one is none.
  (channel as unknown as { parameters: { maxRetransmits: number } }).parameters.maxRetransmits = 0.5;
  return {
    get bufferedAmount() {
      return channel.bufferedAmount;
    },
    send: (data) => channel.send(Buffer.from(data)),
    close: () => void peer.close(),
  };
}
