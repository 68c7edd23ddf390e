import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { channelStopped, datagramsOf } from './datagrams.ts';
import { limitedBy } from './limitedBy.ts';
import { roundTripsOf } from './roundTrips.ts';
import { steadyRate } from './steadyRate.ts';

describe('what a probe works out', () => {
  test('a constant rate is found whatever its ramp and however the counts are spaced', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1000, noNaN: true }),
        fc.array(fc.integer({ min: 50, max: 400 }), { minLength: 20, maxLength: 60 }),
        (mbps, gaps) => {
          let atMs = 0;
          const counts = [{ atMs: 0, bytes: 0 }];
          for (const gap of gaps) {
            atMs += gap;
            // Half the rate while it ramps.
            const steadyMs = Math.max(0, atMs - 1000);
            counts.push({ atMs, bytes: ((Math.min(atMs, 1000) / 2 + steadyMs) * mbps * 1000) / 8 });
          }
          const found = steadyRate(counts, 1000);
          if (atMs <= 1400) return;
          expect(found?.mbps).toBeCloseTo(mbps, 6);
        },
      ),
    );
    expect(steadyRate([{ atMs: 0, bytes: 0 }])).toBeUndefined();
    const stalled = [0, 1, 2, 3, 4].map((s) => ({ atMs: 1000 * s, bytes: s < 3 ? 1e6 * s : 2e6 }));
    expect(steadyRate(stalled, 0)).toMatchObject({ silent: 2, mbps: 4, leastMbps: 0, mostMbps: 8 });
  });

  test('round trips: median, 95 %, worst, what never came back, and the longest silence', () => {
    const echoes = [10, 12, 11, 90, 10].map((ms, i) => ({ sentMs: 100 * i, backMs: 100 * i + ms }));
    const found = roundTripsOf([...echoes, { sentMs: 500, backMs: undefined }]);
    expect(found).toMatchObject({ n: 5, medianMs: 11, p95Ms: 90, worstMs: 90, unanswered: 1 });
    // Backs at 10, 112, 211, 390, 410, asked until 500.
    expect(found?.longestStallMs).toBe(179);
    expect(found?.variationMs).toBeCloseTo(40.5, 9);
    expect(roundTripsOf([{ sentMs: 0, backMs: undefined }])).toBeUndefined();
  });

  test('datagrams: jitter as RFC 3550 has it, worked by hand; clocks need no common zero', () => {
    const at = (seq: number, cameMs: number) => ({ seq, sentMs: 20 * seq, cameMs: 5000 + cameMs });
    const found = datagramsOf(5, [at(0, 10), at(1, 34), at(2, 50), at(4, 94), at(4, 95)]);
    // Transit 10, 14, 10, 14: |D| = 4, 4, 4; J = 0.25, 0.484375, 0.704101…
    expect(found).toMatchObject({ sent: 5, received: 4, twice: 1, late: 0 });
    expect(found.loss).toBeCloseTo(0.2, 12);
    expect(found.jitterMs).toBeCloseTo(4 * (1 - (15 / 16) ** 3), 12);
    expect(datagramsOf(3, [at(1, 30), at(0, 31)])).toMatchObject({ late: 1, received: 2 });
    // Nothing of the later half either way: the channel stopped. One of it, and the rest was lost.
    expect(channelStopped(8, [at(0, 10), at(3, 34)], [])).toBe(true);
    expect(channelStopped(8, [at(0, 10)], [at(4, 50)])).toBe(false);
    expect(() => datagramsOf(1, [at(0, 1), at(1, 2)])).toThrow('invalid arrivals: 2 of 1 sent');
  });

  test('an end that did not come round was measured, not the link', () => {
    const idle = { longestLagMs: 20, cpuShare: 0.2 };
    expect(limitedBy(idle, idle)).toBeUndefined();
    expect(limitedBy({ ...idle, longestLagMs: 900 }, idle)).toContain('this device came to its limit');
    expect(limitedBy(idle, { ...idle, cpuShare: 0.97 })).toContain('the server');
  });
});
