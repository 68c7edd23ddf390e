import { describe, expect, test } from '@jest/globals';
import type { ProbeAsk } from '@urvek/contract';
import { runProbe } from './runProbe.ts';
import type { Heard, ProbePorts, ProbeSocket } from './ports.ts';

// A server without a network, on a clock of its own: down 40 Mbit/s, up 16, a round trip of 10 ms.

const DOWN_MBPS = 40;
const UP_MBPS = 16;
const STEP_MS = 10;

class Pretended {
  private now = 0;
  private readonly due: { readonly atMs: number; readonly go: () => void }[] = [];
  private sentUp = 0;

  readonly ports: ProbePorts = {
    nowMs: () => this.now,
    wait: (ms) => new Promise((go) => void this.due.push({ atMs: this.now + Math.max(1, ms), go })),
    noise: (bytes) => new Uint8Array(bytes),
    load: () => ({ longestLagMs: 1, cpuShare: 0.1 }),
    connect: (role, heard) => Promise.resolve(this.socket(role, heard)),
  };

  /** The clock goes on to what is due next, until the run has ended. */
  async until<T>(run: Promise<T>): Promise<T> {
    let over = false;
    const ended = run.finally(() => (over = true));
    while (!over) {
      await new Promise((r) => setImmediate(r));
      const next = this.due.sort((a, b) => a.atMs - b.atMs).shift();
      if (!next) continue;
      this.now = Math.max(this.now, next.atMs);
      next.go();
    }
    return ended;
  }

  private each(ms: number, what: () => boolean): void {
    void (async () => {
      do await this.ports.wait(ms);
      while (what());
    })();
  }

  private socket(role: 'control' | 'down' | 'up' | 'echo', heard: Heard): ProbeSocket {
    let [open, buffered, counting] = [true, 0, false];
    if (role === 'up')
      this.each(STEP_MS, () => {
        const left = Math.min(buffered, (UP_MBPS / 2 / 8) * 1000 * STEP_MS);
        buffered -= left;
        this.sentUp += left;
        return open;
      });
    const hear = (say: ProbeAsk['say'], more: object): void =>
      this.each(5, () => {
        heard.text?.(JSON.stringify({ say, ...more }));
        return false;
      });
    return {
      get bufferedAmount() {
        return buffered;
      },
      send: (data) => {
        if (role === 'up') buffered += data.length;
        if (role === 'echo')
          this.each(10, () => {
            heard.bytes?.(data as Uint8Array);
            return false;
          });
        if (role === 'down')
          this.each(STEP_MS, () => {
            if (open) heard.bytes?.(new Uint8Array((DOWN_MBPS / 2 / 8) * 1000 * STEP_MS));
            return open;
          });
        if (role !== 'control') return;
        const ask = JSON.parse(data as string) as ProbeAsk;
        if (ask.say === 'load') hear('load', { longestLagMs: 1, cpuShare: 0.1 });
        if (ask.say === 'count') {
          counting = ask.on;
          if (counting)
            this.each(200, () => {
              heard.text?.(JSON.stringify({ say: 'counted', atMs: this.now, bytes: this.sentUp }));
              return counting;
            });
        }
      },
      close: () => {
        open = false;
      },
    };
  }
}

const probed = (budgetBytes: number, stopped: (atMs: number) => string | undefined = () => undefined) => {
  const far = new Pretended();
  return far.until(
    runProbe(far.ports, {
      ...{ seconds: 8, streams: 2, ways: ['down', 'up'] as const, budgetBytes, datagrams: false },
      stopped: () => stopped(far.ports.nowMs()),
    }),
  );
};

describe('a run of the probe', () => {
  test('each way by itself, and the round trip at rest', async () => {
    const { outcome, down, up, idle, cutShort } = await probed(1e9);
    expect([outcome, cutShort]).toEqual(['done', undefined]);
    expect(down?.rate.mbps).toBeCloseTo(DOWN_MBPS, 0);
    expect(up?.rate.mbps).toBeCloseTo(UP_MBPS, 0);
    expect(idle?.medianMs).toBeCloseTo(10, 0);
  });

  test('a budget that is spent in mid-way leaves what was finished, and no figure of the rest', async () => {
    // 8 s at 40 Mbit/s are 40 MB: the way up begins, and is cut short.
    const { outcome, why, down, up, idle, cutShort, bytes } = await probed(45e6);
    expect([outcome, why, cutShort]).toEqual(['stopped', 'the data budget is spent', 'up']);
    expect(down?.rate.mbps).toBeCloseTo(DOWN_MBPS, 0);
    expect(up).toBeUndefined();
    expect(idle).toBeDefined();
    expect(bytes).toBeGreaterThan(45e6);
  });

  test('stopped by somebody in the first way, it has the round trips only', async () => {
    const { outcome, why, down, cutShort, idle } = await probed(1e9, (ms) =>
      ms > 6000 ? 'it was stopped' : undefined,
    );
    expect([outcome, why, cutShort, down]).toEqual(['stopped', 'it was stopped', 'down', undefined]);
    expect(idle?.n).toBeGreaterThan(10);
  });
});
