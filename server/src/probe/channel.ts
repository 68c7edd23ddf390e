import { RTCPeerConnection, type RTCDataChannel } from 'werift';
import { DatagramRun, type DatagramEnd } from './datagrams.ts';

/** A page has so long to open its channel, ms. */
const OPEN_MS = 10_000;

/**
 * This library takes no retransmission for as many as it likes; half of one is none (a test loses packets to hold
 * that).
 */
const sendNothingAgain = (channel: RTCDataChannel): void => {
  (channel as unknown as { parameters: { maxRetransmits: number } }).parameters.maxRetransmits = 0.5;
};

/** Answers a page's offer of a channel. @throws Error for one that cannot be read */
export async function openChannel(offer: string): Promise<{ end: DatagramEnd; answer: string }> {
  const peer = new RTCPeerConnection({ iceServers: [] });
  let channel: RTCDataChannel | undefined;
  const run = new DatagramRun((data) => channel?.send(data));
  peer.onDataChannel.subscribe((opened) => {
    sendNothingAgain(opened);
    channel = opened;
    opened.onMessage.subscribe((data) => {
      if (typeof data !== 'string') run.take(data);
    });
  });
  const close = (): void => {
    run.end();
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
    end: { close, arrivals: run.arrivals, send: run.send },
  };
}
