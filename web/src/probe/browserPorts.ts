import { PROBE_SOCKET_PATH, type DatagramKind } from '@urvek/contract';
import type { DatagramChannel, ProbePorts } from '@urvek/probe';
import * as phrases from './phrases.ts';

const CONNECT_MS = 10_000;
/** A timer that is asked to come so often tells how late this page comes round, ms. */
const TICK_MS = 50;

/** What a run of a probe needs, as a page has it. */
export function browserPorts(ticket: string): { readonly ports: ProbePorts; readonly end: () => void } {
  let [longestLagMs, lastMs] = [0, performance.now()];
  const ticking = setInterval(() => {
    const now = performance.now();
    longestLagMs = Math.max(longestLagMs, now - lastMs - TICK_MS);
    lastMs = now;
  }, TICK_MS);
  return {
    end: () => clearInterval(ticking),
    ports: {
      connect: (role, heard) =>
        new Promise((resolve, reject) => {
          const scheme = location.protocol === 'https:' ? 'wss' : 'ws';
          const socket = new WebSocket(
            `${scheme}://${location.host}${PROBE_SOCKET_PATH}?role=${role}&ticket=${ticket}`,
          );
          socket.binaryType = 'arraybuffer';
          // Ended is what had begun: one that never opened is refused.
          let closing = true;
          const slow = setTimeout(() => socket.close(), CONNECT_MS);
          socket.onmessage = ({ data }: MessageEvent<string | ArrayBuffer>) => {
            if (typeof data === 'string') heard.text?.(data);
            else heard.bytes?.(new Uint8Array(data));
          };
          socket.onclose = ({ reason }) => {
            clearTimeout(slow);
            reject(new Error(phrases.noConnectionToTheBase));
            if (!closing) heard.ended?.(reason || phrases.theConnectionWasClosed);
          };
          socket.onopen = () => {
            clearTimeout(slow);
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
                socket.close();
              },
            });
          };
        }),
      nowMs: () => performance.now(),
      wait: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
      noise: (bytes) => crypto.getRandomValues(new Uint8Array(bytes)),
      load: () => {
        const load = { longestLagMs, cpuShare: undefined };
        longestLagMs = 0;
        return load;
      },
      datagrams: openChannel,
    },
  };
}

async function openChannel(
  answer: (kind: DatagramKind, offer: string) => Promise<string>,
  came: (data: Uint8Array) => void,
): Promise<DatagramChannel> {
  const peer = new RTCPeerConnection({ iceServers: [] });
  try {
    const channel = peer.createDataChannel('datagrams', { ordered: false, maxRetransmits: 0 });
    channel.binaryType = 'arraybuffer';
    channel.onmessage = ({ data }: MessageEvent<ArrayBuffer>) => came(new Uint8Array(data));
    await peer.setLocalDescription(await peer.createOffer());
    // All ways to this page are in the offer: the server asks no one else.
    await new Promise<void>((resolve) => {
      if (peer.iceGatheringState === 'complete') resolve();
      peer.onicegatheringstatechange = () => {
        if (peer.iceGatheringState === 'complete') resolve();
      };
      setTimeout(resolve, CONNECT_MS / 5);
    });
    const sdp = await answer('channel', peer.localDescription?.sdp ?? '');
    await peer.setRemoteDescription({ type: 'answer', sdp });
    await new Promise<void>((resolve, reject) => {
      if (channel.readyState === 'open') resolve();
      channel.onopen = () => resolve();
      setTimeout(() => reject(new Error(phrases.theDatagramChannelDidNotOpen)), CONNECT_MS);
    });
    return {
      get bufferedAmount() {
        return channel.bufferedAmount;
      },
      send: (data) => {
        if (channel.readyState === 'open') channel.send(data);
      },
      close: () => peer.close(),
    };
  } catch (error) {
    peer.close();
    throw error;
  }
}
