import { DATAGRAM_BYTES, readDatagram, writeDatagram } from '@urvek/contract';
import { randomFillSync } from 'node:crypto';
import { RTCPeerConnection, type RTCDataChannel } from 'werift';

/** The most datagrams that are kept of one run. */
const MOST_KEPT = 20_000;
/** A device has so long to open its channel, ms. */
const OPEN_MS = 10_000;

/** The server's end of a channel whose datagrams are lost where they are lost. */
export interface DatagramEnd {
  send(count: number, everyMs: number): void;
  arrivals(): readonly (readonly [seq: number, sentMs: number, cameMs: number])[];
  close(): void;
}

/**
 * This library takes no retransmission for as many as it likes; half of one is none (a test loses packets to hold
 * that).
 */
export const sendNothingAgain = (channel: RTCDataChannel): void => {
  (channel as unknown as { parameters: { maxRetransmits: number } }).parameters.maxRetransmits = 0.5;
};

/** Answers a device's offer. @throws Error for one that cannot be read */
export async function openDatagrams(offer: string): Promise<{ end: DatagramEnd; answer: string }> {
  const peer = new RTCPeerConnection({ iceServers: [] });
  const came: [number, number, number][] = [];
  let channel: RTCDataChannel | undefined;
  let sending: NodeJS.Timeout | undefined;
  peer.onDataChannel.subscribe((opened) => {
    sendNothingAgain(opened);
    channel = opened;
    opened.onMessage.subscribe((data) => {
      if (typeof data === 'string' || came.length >= MOST_KEPT || data.byteLength < DATAGRAM_BYTES) return;
      const { seq, sentMs } = readDatagram(data);
      came.push([seq, sentMs, performance.now()]);
    });
  });
  const close = (): void => {
    clearInterval(sending);
    void peer.close();
  };
  const slow = setTimeout(() => {
    if (!channel) close();
  }, OPEN_MS);
  slow.unref();
  try {
    await peer.setRemoteDescription({ type: 'offer', sdp: offer });
    await peer.setLocalDescription(await peer.createAnswer());
  } catch (error) {
    close();
    throw new Error(`the offer was not understood: ${(error as Error).message}`, { cause: error });
  }
  return {
    answer: peer.localDescription?.sdp ?? '',
    end: {
      close,
      arrivals: () => came,
      send: (count, everyMs) => {
        const begunMs = performance.now();
        let seq = 0;
        clearInterval(sending);
        sending = setInterval(() => {
          const due = Math.min(count, Math.floor((performance.now() - begunMs) / everyMs) + 1);
          for (; seq < due && channel; seq++) {
            const data = Buffer.alloc(DATAGRAM_BYTES);
            randomFillSync(data);
            writeDatagram(data, seq, performance.now());
            channel.send(data);
          }
          if (seq >= count) clearInterval(sending);
        }, everyMs);
      },
    },
  };
}
