import {
  DATAGRAM_BYTES,
  MOST_STREAMS,
  readDatagram,
  writeDatagram,
  type ProbeAsk,
  type ProbeTell,
} from '@urvek/contract';
import {
  channelStopped,
  datagramsOf,
  limitedBy,
  roundTripsOf,
  steadyRate,
  type Arrival,
  type ByteCount,
  type EndLoad,
  type RoundTrips,
  type SteadyRate,
} from '@urvek/core';
import { EchoRun } from './echo.ts';
import type { DatagramChannel, ProbePorts, ProbeSocket } from './ports.ts';
import type { LoadedRate, ProbeResult, ProbeWay } from './result.ts';

export interface ProbeOptions {
  /** Of each way, s. */
  readonly seconds: number;
  readonly streams: number;
  readonly ways: readonly ProbeWay[];
  /** So many bytes in all, and it stops. */
  readonly budgetBytes: number;
  readonly datagrams: boolean;
  /** Asked often: true ends the run. */
  readonly stopped: () => string | undefined;
  /** What it does now, in words, and how far it is. */
  readonly told?: (what: string, mbps: number | undefined) => void;
}

/** Counts are taken this often, ms. */
const SAMPLE_MS = 200;
/** So much is given to a connection ahead of what has left, bytes: enough for 300 Mbit/s over 25 ms a stream. */
const AHEAD_BYTES = 1 << 20;
const CHUNK_BYTES = 1 << 16;
/** Without any answer for so long the link is gone, ms. */
const GONE_MS = 6000;
/** Beyond what a full queue delays an answer, ms. */
const SILENT_MS = 1500;
const IDLE_MS = 2000;
/** So that the end of one part does not disturb the next, ms. */
const SETTLE_MS = 300;
/** Datagrams are waited for so long at most, s. */
const LATEST_S = 5;
/** So often a channel for datagrams is tried. */
const OPENINGS = 3;
/** Datagrams: 200 a second for five seconds. */
const DATAGRAMS = { count: 1000, everyMs: 5 } as const;

const beforeSilence = (counts: readonly ByteCount[]): readonly ByteCount[] =>
  counts.slice(0, counts.findIndex((c) => c.bytes === counts.at(-1)?.bytes) + 1);

class Stopped extends Error {}
/** The link went: what was measured until then stands. */
class Broken extends Error {}

/** One run: at rest, each way, both ways, datagrams; it ends with what was measured, whatever happens. */
export async function runProbe(ports: ProbePorts, options: ProbeOptions): Promise<ProbeResult> {
  const run = new Run(ports, options);
  return run.result();
}

class Run {
  private readonly begunMs: number;
  private bytes = 0;
  private control: ProbeSocket | undefined;
  private echo: EchoRun | undefined;
  private gone: string | undefined;
  private over = false;
  private readonly open = new Set<ProbeSocket>();
  private readonly waiting = new Map<ProbeTell['say'], (tell: ProbeTell) => void>();
  private counted: (tell: Extract<ProbeTell, { say: 'counted' }>) => void = () => undefined;
  private idle: RoundTrips | undefined;
  private readonly rates = new Map<'down' | 'up', LoadedRate>();
  private both: ProbeResult['both'];
  private datagrams: ProbeResult['datagrams'];
  private limited: string | undefined;
  private cut: ProbeWay | undefined;

  constructor(
    private readonly ports: ProbePorts,
    private readonly options: ProbeOptions,
  ) {
    if (!(options.streams >= 1 && options.streams <= MOST_STREAMS))
      throw new RangeError(`invalid streams: ${options.streams}`);
    if (!(options.seconds >= 1)) throw new RangeError(`invalid seconds: ${options.seconds}`);
    this.begunMs = ports.nowMs();
  }

  async result(): Promise<ProbeResult> {
    let [outcome, why]: [ProbeResult['outcome'], string | undefined] = ['done', undefined];
    try {
      await this.begin();
      await this.measure();
    } catch (error) {
      if (error instanceof Stopped) {
        [outcome, why] = ['stopped', error.message];
        // The other end is asked nothing more: of this one it is known whether it was busy.
        if (this.rates.size > 0) this.limited = limitedBy(this.ports.load(), undefined);
      } else [outcome, why] = [this.control ? 'broken' : 'no connection', (error as Error).message];
    } finally {
      this.over = true;
      this.echo?.end();
      for (const socket of [...this.open]) this.close(socket);
    }
    return {
      ...{ outcome, why, bytes: this.bytes, idle: this.idle },
      seconds: (this.ports.nowMs() - this.begunMs) / 1000,
      down: this.rates.get('down'),
      up: this.rates.get('up'),
      both: this.both,
      datagrams: this.datagrams,
      limitedBy: this.limited,
      cutShort: this.cut,
    };
  }

  private async begin(): Promise<void> {
    const socket = await this.connect('control', {
      text: (text) => {
        const tell = JSON.parse(text) as ProbeTell;
        if (tell.say === 'counted') this.counted(tell);
        else this.waiting.get(tell.say)?.(tell);
      },
    });
    this.echo = new EchoRun(this.ports, (heard) => this.connect('echo', heard));
    await this.echo.begin();
    this.control = socket;
  }

  private async measure(): Promise<void> {
    const { ways, told } = this.options;
    told?.('at rest', undefined);
    this.ports.load();
    await this.ask({ say: 'load' }, 'load');
    const idle = this.theEcho.collect();
    await this.during(IDLE_MS);
    this.idle = roundTripsOf(idle());
    for (const way of ways) {
      await this.wayOf(way);
      await this.during(SETTLE_MS);
    }
    // Only what carried much can have been busy; datagrams do not.
    this.limited = await this.busyEnds();
    if (this.options.datagrams) this.datagrams = await this.lossBothWays();
  }

  private async busyEnds(): Promise<string | undefined> {
    const there = await this.ask({ say: 'load' }, 'load');
    const load: EndLoad | undefined = there.say === 'load' ? there : undefined;
    return limitedBy(this.ports.load(), load);
  }

  private async wayOf(way: ProbeWay): Promise<void> {
    this.options.told?.(way === 'both' ? 'both ways at once' : way, undefined);
    const [down, up] = [way !== 'up', way !== 'down'];
    const echoes = this.theEcho.collect();
    const counts: Record<'down' | 'up', ByteCount[]> = { down: [], up: [] };
    let [whole, cut] = [false, false];
    try {
      const closers = [
        ...(down ? [await this.receive(counts.down)] : []),
        ...(up ? [await this.transmit(counts.up)] : []),
      ];
      await this.during(1000 * this.options.seconds, () => this.tellRate(counts));
      // Silent at its end, it may have gone: that shows within seconds.
      while (this.theEcho.silentMs() > SILENT_MS) await this.step(SAMPLE_MS);
      for (const close of closers) close();
      whole = true;
    } catch (error) {
      cut = error instanceof Stopped;
      throw error;
    } finally {
      // A broken run keeps what it has: the silence in which one waited is not the link's rate.
      const loaded = roundTripsOf(echoes());
      const rate = (of: readonly ByteCount[]): SteadyRate | undefined =>
        steadyRate(whole ? of : beforeSilence(of));
      const [downRate, upRate] = [rate(counts.down), rate(counts.up)];
      // Cut short by the person or the budget, it is no reading; what was finished before stands.
      if (cut) this.cut = way;
      else if (way === 'both') this.both = downRate && upRate && { down: downRate, up: upRate, loaded };
      else this.keep(way, way === 'down' ? downRate : upRate, loaded);
    }
  }

  private keep(way: 'down' | 'up', rate: SteadyRate | undefined, loaded: RoundTrips | undefined): void {
    if (!rate) return;
    const riseMs = loaded && this.idle && loaded.medianMs - this.idle.medianMs;
    this.rates.set(way, { rate, loaded, riseMs });
  }

  private tellRate({ down, up }: Record<'down' | 'up', ByteCount[]>): void {
    const last = (counts: readonly ByteCount[]): number => {
      const [a, b] = counts.slice(-6).filter((_, i, all) => i === 0 || i === all.length - 1);
      return a && b && b.atMs > a.atMs ? (8 * (b.bytes - a.bytes)) / (b.atMs - a.atMs) / 1000 : 0;
    };
    this.options.told?.(
      down.length > 0 && up.length > 0 ? 'both ways at once' : down.length > 0 ? 'down' : 'up',
      last(down) + last(up),
    );
  }

  /** Streams that the server fills; counted where they arrive, here. @returns what ends them */
  private async receive(counts: ByteCount[]): Promise<() => void> {
    let bytes = 0;
    const sockets = await Promise.all(
      Array.from({ length: this.options.streams }, () =>
        this.connect('down', {
          bytes: (data) => {
            bytes += data.byteLength;
            this.bytes += data.byteLength;
          },
        }),
      ),
    );
    const count = (): void => void counts.push({ atMs: this.ports.nowMs(), bytes });
    count();
    for (const socket of sockets) socket.send('go');
    const ended = this.every(SAMPLE_MS, count);
    return () => {
      ended();
      for (const socket of sockets) this.close(socket);
    };
  }

  /** Streams that this end fills; counted where they arrive, there. */
  private async transmit(counts: ByteCount[]): Promise<() => void> {
    const sockets = await Promise.all(
      Array.from({ length: this.options.streams }, () => this.connect('up', {})),
    );
    this.counted = ({ atMs, bytes }) => void counts.push({ atMs, bytes });
    this.tell({ say: 'count', on: true });
    const noise = this.ports.noise(CHUNK_BYTES);
    let filling = true;
    const fill = async (socket: ProbeSocket): Promise<void> => {
      while (filling && this.open.has(socket)) {
        let sent = 0;
        // A few chunks a turn: the echo must come round in between.
        while (filling && socket.bufferedAmount < AHEAD_BYTES && sent < 8) {
          socket.send(noise);
          this.bytes += noise.byteLength;
          sent++;
        }
        await this.ports.wait(socket.bufferedAmount < AHEAD_BYTES ? 0 : 2);
      }
    };
    const filled = sockets.map((s) => fill(s).catch(() => undefined));
    return () => {
      filling = false;
      this.tell({ say: 'count', on: false });
      for (const socket of sockets) this.close(socket);
      void Promise.all(filled);
    };
  }

  /** Its handshake can be lost as any datagram can, and a channel can stop by itself: it is opened anew then. */
  private async lossBothWays(): Promise<NonNullable<ProbeResult['datagrams']>> {
    if (!this.ports.datagrams) return { none: 'this end opens no datagram channel' };
    this.options.told?.('loss', undefined);
    let none = '';
    for (let i = 0; i < OPENINGS; i++) {
      const came: Arrival[] = [];
      let channel: DatagramChannel;
      try {
        channel = await this.openDatagrams(this.ports.datagrams, came);
      } catch (error) {
        if (error instanceof Stopped || error instanceof Broken) throw error;
        // The rest was measured: without datagrams there is no loss to tell.
        none = (error as Error).message;
        continue;
      }
      try {
        const ways = await this.overChannel(channel, came);
        const stopped = channelStopped(DATAGRAMS.count, ways.down, ways.up);
        if (!stopped)
          return { down: datagramsOf(DATAGRAMS.count, ways.down), up: datagramsOf(DATAGRAMS.count, ways.up) };
        none =
          `the datagram channel stopped after ${Math.max(ways.down.length, ways.up.length)} of ` +
          `${DATAGRAMS.count}, while the other connections went on`;
      } finally {
        channel.close();
      }
    }
    return { none };
  }

  private openDatagrams(
    open: NonNullable<ProbePorts['datagrams']>,
    came: Arrival[],
  ): Promise<DatagramChannel> {
    return open(
      async (kind, text) => {
        const tell = await this.ask({ say: 'offer', kind, text }, 'answer', 'no datagrams');
        if (tell.say !== 'answer') throw new Error(tell.say === 'no datagrams' ? tell.why : 'no answer');
        return tell.text;
      },
      (data) => came.push({ ...readDatagram(data), cameMs: this.ports.nowMs() }),
    );
  }

  private async overChannel(
    channel: DatagramChannel,
    came: readonly Arrival[],
  ): Promise<Record<'down' | 'up', readonly Arrival[]>> {
    this.tell({ say: 'send datagrams', ...DATAGRAMS });
    await this.sendDatagrams(channel);
    // What waits behind a loss comes late: until nothing more comes, and no longer than that.
    for (let [i, seen] = [0, -1]; i < LATEST_S && seen !== came.length; i++) {
      seen = came.length;
      await this.during(1000);
    }
    const tell = await this.ask({ say: 'arrivals' }, 'arrivals');
    const there = tell.say === 'arrivals' ? tell.arrivals : [];
    return { down: came, up: there.map(([seq, sentMs, cameMs]) => ({ seq, sentMs, cameMs })) };
  }

  /** At their rate by the clock: a timer that comes late sends what is due. */
  private async sendDatagrams(channel: { send(data: Uint8Array<ArrayBuffer>): void }): Promise<void> {
    const beginMs = this.ports.nowMs();
    for (let seq = 0; seq < DATAGRAMS.count;) {
      const due = Math.min(
        DATAGRAMS.count,
        Math.floor((this.ports.nowMs() - beginMs) / DATAGRAMS.everyMs) + 1,
      );
      for (; seq < due; seq++) {
        const data = this.ports.noise(DATAGRAM_BYTES);
        writeDatagram(data, seq, this.ports.nowMs());
        channel.send(data);
      }
      await this.step(DATAGRAMS.everyMs);
    }
  }

  private get theEcho(): EchoRun {
    if (!this.echo) throw new Broken('it has not begun');
    return this.echo;
  }

  private async connect(
    role: 'control' | 'down' | 'up' | 'echo',
    heard: Parameters<ProbePorts['connect']>[1],
  ): Promise<ProbeSocket> {
    let socket: ProbeSocket | undefined = undefined;
    socket = await this.ports.connect(role, {
      ...heard,
      ended: (why) => {
        if (socket && this.open.has(socket)) this.gone ??= why;
      },
    });
    this.open.add(socket);
    return socket;
  }

  private close(socket: ProbeSocket): void {
    this.open.delete(socket);
    socket.close();
  }

  private tell(ask: ProbeAsk): void {
    this.control?.send(JSON.stringify(ask));
  }

  private async ask(ask: ProbeAsk, ...answers: ProbeTell['say'][]): Promise<ProbeTell> {
    let answered: ProbeTell | undefined;
    for (const say of answers) this.waiting.set(say, (tell) => (answered = tell));
    this.tell(ask);
    while (!answered) await this.step(20);
    return answered;
  }

  /** Goes on for so long, looking often whether it may. */
  private async during(ms: number, each?: () => void): Promise<void> {
    const endMs = this.ports.nowMs() + ms;
    while (this.ports.nowMs() < endMs) {
      await this.step(Math.min(SAMPLE_MS, endMs - this.ports.nowMs()));
      each?.();
    }
  }

  private every(ms: number, what: () => void): () => void {
    let on = true;
    const go = async (): Promise<void> => {
      while (on && !this.over) {
        await this.ports.wait(ms);
        if (on && !this.over) what();
      }
    };
    void go();
    return () => {
      on = false;
    };
  }

  /** @throws Stopped by the person or the budget @throws Broken where the link is gone */
  private async step(ms: number): Promise<void> {
    await this.ports.wait(Math.max(0, ms));
    const stop = this.options.stopped();
    if (stop !== undefined) throw new Stopped(stop);
    if (this.bytes > this.options.budgetBytes) throw new Stopped('the data budget is spent');
    if (this.gone !== undefined) throw new Broken(this.gone);
    if (this.echo && this.echo.silentMs() > GONE_MS)
      throw new Broken(`no answer for ${Math.round(this.echo.silentMs() / 1000)} s`);
  }
}
