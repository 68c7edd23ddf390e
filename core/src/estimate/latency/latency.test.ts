import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { judgeLatencyClaim } from '../../judge/latencyClaim.ts';
import { seeded } from '../../random/seeded.ts';
import { inFrames, latencyOfClock, latencyOfFrames, LatencyRefused } from './latency.ts';
import { trackOffsetS } from './trackOffset.ts';

describe('frames', () => {
  test('50 ms is 1.2 frames at 24 fps, and a frame there 41.667 ms', () => {
    expect(inFrames(0.05, 24)).toBeCloseTo(1.2, 12);
    expect(latencyOfFrames([1], 24).latencyS).toBeCloseTo(0.041667, 6);
  });

  test('one count is known to a frame; several shrink the scatter, not the resolution', () => {
    const one = latencyOfFrames([10], 120, 0.017);
    expect(one).toMatchObject({ latencyS: 10 / 120 - 0.017, resolutionS: 1 / 120, readings: 1 });
    // Two ends, each rectangular over a frame: their difference is triangular within ± one frame.
    expect(one.halfWidthS).toBeCloseTo((1 - Math.sqrt(0.05)) / 120, 12);
    expect(one.halfWidthS).toBeLessThan(one.resolutionS);
    expect(latencyOfFrames([10, 10, 10], 120).halfWidthS).toBeCloseTo(one.halfWidthS, 12);
    expect(() => latencyOfFrames([], 24)).toThrow('invalid counts: none');
    expect(() => latencyOfFrames([3], 0)).toThrow('invalid framesPerS: 0');
  });

  test('the interval holds the truth of simulated counts about as often as it says', () => {
    const random = seeded('frames');
    const trueS = 0.0831;
    const covered =
      Array.from({ length: 600 }, () => {
        // Act and picture fall anywhere within a frame; the screen adds its own scatter.
        const counts = Array.from({ length: 8 }, () =>
          Math.floor((random.uniform() / 60 + trueS + 0.002 * random.normal()) * 60),
        );
        const { latencyS, halfWidthS } = latencyOfFrames(counts, 60);
        return Math.abs(latencyS - trueS) <= halfWidthS;
      }).filter(Boolean).length / 600;
    expect(covered).toBeGreaterThan(0.93);
  });
});

describe('a filmed clock', () => {
  test('the difference of two readings, less the wired baseline of the chain', () => {
    const found = latencyOfClock(
      [
        { clockS: 4.12, screenS: 3.985 },
        { clockS: 6.24, screenS: 6.112 },
      ],
      { baselineS: 0.034, refreshHz: 60 },
    );
    expect(found.latencyS).toBeCloseTo(0.1315 - 0.034, 12);
    expect(found.resolutionS).toBeCloseTo(1 / 60, 12);
  });

  test('is refused where the chain hides what is measured', () => {
    expect(() => latencyOfClock([{ clockS: 1, screenS: 0.95 }], { baselineS: 0.03, refreshHz: 60 })).toThrow(
      LatencyRefused,
    );
  });
});

test('two tracks: a shift is found to a hundredth of a sample, sound’s way taken off', () => {
  const wave = (t: number): number =>
    Math.exp(-(((t - 0.5) / 0.004) ** 2)) * Math.cos(2 * Math.PI * 90 * (t - 0.5));
  const track = (shiftS: number): Float64Array =>
    Float64Array.from({ length: 1000 }, (_, i) => wave(i / 1000 - shiftS));
  fc.assert(
    fc.property(fc.double({ min: -0.05, max: 0.05, noNaN: true }), (shiftS) => {
      expect(Math.abs(trackOffsetS(track(0), track(shiftS), 1000, 0.08) - shiftS)).toBeLessThan(0.05 / 1000);
    }),
    { numRuns: 8 },
  );
  // 2.9 ms a metre.
  expect(trackOffsetS(track(0), track(0.029), 1000, 0.08, { toFirstM: 1, toSecondM: 11 })).toBeCloseTo(
    -0.0004,
    3,
  );
  expect(() => trackOffsetS(track(0), track(0), 1000, 3)).toThrow('invalid greatestLagS: 3');
});

test('a claim of latency is kept by the whole interval, broken by it, or left open', () => {
  const found = { latencyS: 0.06, halfWidthS: 0.01, resolutionS: 0.008, readings: 6 };
  expect(judgeLatencyClaim({ entered: '80 ms', latencyS: 0.08 }, found).outcome).toBe('supported');
  expect(judgeLatencyClaim({ entered: '40 ms', latencyS: 0.04 }, found).outcome).toBe('refuted');
  expect(judgeLatencyClaim({ entered: '65 ms', latencyS: 0.065 }, found)).toMatchObject({
    outcome: 'undecided',
    next: expect.stringContaining('faster camera'),
  });
  expect(judgeLatencyClaim({ entered: '65 ms', latencyS: 0.065 }, undefined).outcome).toBe('not tested');
});
