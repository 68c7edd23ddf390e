import { DATAGRAM_BYTES, readDatagram, writeDatagram } from '@urvek/contract';
import { randomFillSync } from 'node:crypto';

/** The most datagrams that are kept of one run. */
const MOST_KEPT = 20_000;

/** The server's end of a way on which datagrams are lost where they are lost. */
export interface DatagramEnd {
  send(count: number, everyMs: number): void;
  arrivals(): readonly Arrived[];
  close(): void;
}

type Arrived = readonly [seq: number, sentMs: number, cameMs: number];

/** What came, and what goes out by the clock: the same by either way. */
export class DatagramRun {
  private readonly came: Arrived[] = [];
  private sending: NodeJS.Timeout | undefined;

  constructor(private readonly out: (data: Buffer) => void) {}

  readonly arrivals = (): readonly Arrived[] => this.came;

  take(data: Buffer): void {
    if (this.came.length >= MOST_KEPT || data.byteLength < DATAGRAM_BYTES) return;
    const { seq, sentMs } = readDatagram(data);
    this.came.push([seq, sentMs, performance.now()]);
  }

  readonly send = (count: number, everyMs: number): void => {
    const begunMs = performance.now();
    let seq = 0;
    this.end();
    this.sending = setInterval(() => {
      const due = Math.min(count, Math.floor((performance.now() - begunMs) / everyMs) + 1);
      for (; seq < due; seq++) {
        const data = Buffer.alloc(DATAGRAM_BYTES);
        randomFillSync(data);
        writeDatagram(data, seq, performance.now());
        this.out(data);
      }
      if (seq >= count) this.end();
    }, everyMs);
  };

  end(): void {
    clearInterval(this.sending);
  }
}
