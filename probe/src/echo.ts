import type { Echo } from '@urvek/core';
import type { Heard, ProbePorts, ProbeSocket } from './ports.ts';

/** A question each so often, ms: on a connection of its own, so that none waits behind what is measured. */
const EVERY_MS = 100;
/** More than this under way are no measure any more: the link stands still. */
const MOST_UNDER_WAY = 50;

/** Round trips, asked all the time while a run goes on. */
export class EchoRun {
  private readonly echoes: { sentMs: number; backMs: number | undefined }[] = [];
  private socket: ProbeSocket | undefined;
  private lastBackMs = 0;
  private underWay = 0;
  private ended = false;

  constructor(
    private readonly ports: ProbePorts,
    private readonly connect: (heard: Heard) => Promise<ProbeSocket>,
  ) {}

  async begin(): Promise<void> {
    const socket = await this.connect({
      bytes: (data) => this.back(new DataView(data.buffer, data.byteOffset).getUint32(0)),
      ended: () => {
        this.ended = true;
      },
    });
    this.socket = socket;
    this.lastBackMs = this.ports.nowMs();
    const go = async (): Promise<void> => {
      while (!this.ended) {
        if (this.underWay < MOST_UNDER_WAY) this.send(socket);
        await this.ports.wait(EVERY_MS);
      }
    };
    void go().catch(() => undefined);
  }

  private send(socket: ProbeSocket): void {
    const data = new Uint8Array(4);
    new DataView(data.buffer).setUint32(0, this.echoes.length);
    this.echoes.push({ sentMs: this.ports.nowMs(), backMs: undefined });
    this.underWay++;
    socket.send(data);
  }

  private back(index: number): void {
    const echo = this.echoes[index];
    if (!echo || echo.backMs !== undefined) return;
    echo.backMs = this.ports.nowMs();
    this.lastBackMs = echo.backMs;
    this.underWay--;
  }

  /** Those asked from now on; given when it is called, and those that were under way too short to tell left out. */
  collect(): () => readonly Echo[] {
    const from = this.echoes.length;
    return () => {
      const own = this.echoes.slice(from);
      const now = this.ports.nowMs();
      const usual = own.find((e) => e.backMs !== undefined);
      const patienceMs = usual ? 4 * ((usual.backMs as number) - usual.sentMs) + EVERY_MS : EVERY_MS;
      return own.filter((e) => e.backMs !== undefined || now - e.sentMs > patienceMs);
    };
  }

  end(): void {
    this.ended = true;
  }

  silentMs(): number {
    return this.socket ? this.ports.nowMs() - this.lastBackMs : 0;
  }
}
