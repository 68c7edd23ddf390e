import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded, type Random } from '../random/seeded.ts';
import { KnownLoss } from './knownLoss.ts';
import { SoundDetector, TONE_HZ, type SentSignal, type SoundFound } from './sound.ts';

// Known truth: noise, tones and silence made here, with gaps put in.

const RATE = 16_000;

interface Gap {
  readonly fromS: number;
  readonly toS: number;
}

/** Noise of 0.1 of full scale, swelling by so many dB, with gaps in which so much of it is left. */
function noise(
  random: Random,
  seconds: number,
  gaps: readonly Gap[],
  leftDb = -Infinity,
  swellDb = 0,
): Float32Array {
  const sound = new Float32Array(seconds * RATE);
  for (let i = 0; i < sound.length; i++) {
    const s = i / RATE;
    const swell = 10 ** ((swellDb * Math.sin((2 * Math.PI * s) / 7)) / 20);
    const left = gaps.some((g) => s >= g.fromS && s < g.toS) ? 10 ** (leftDb / 20) : 1;
    sound[i] = 0.1 * random.normal() * swell * left;
  }
  return sound;
}

/** Gaps of 20 ms to 1 s, half a second apart and more. */
function gapsIn(random: Random, seconds: number): Gap[] {
  const gaps: Gap[] = [];
  for (let s = 1; s < seconds - 2;) {
    const toS = s + 0.02 * 50 ** random.uniform();
    gaps.push({ fromS: s, toS });
    s = toS + 0.5 + random.uniform();
  }
  return gaps;
}

function heard(sound: Float32Array, signal: SentSignal, piece = 4096): SoundFound {
  const detector = new SoundDetector({ rateHz: RATE, channels: 1, signal });
  for (let i = 0; i < sound.length; i += piece) detector.push([sound.subarray(i, i + piece)]);
  return detector.end();
}

describe('loss of noise', () => {
  test.each([
    ['to nothing', -Infinity, 0, 0],
    ['swelling by 6 dB either way', -Infinity, 6, 1],
    ['with residual noise 20 dB below', -20, 0, 2],
    ['with residual noise 12 dB below, swelling', -12, 4, 3],
  ])('gaps from 20 ms, %s: all are found, none beside them, onset to 5 ms', (_, leftDb, swellDb, seed) => {
    const random = seeded('gaps', seed);
    const gaps = gapsIn(random, 60);
    const { dropouts } = heard(noise(random, 60, gaps, leftDb, swellDb), 'noise');
    expect(gaps.length).toBeGreaterThan(40);
    expect(dropouts).toHaveLength(gaps.length);
    dropouts.forEach((d, i) => {
      const { fromS, toS } = gaps[i] as Gap;
      expect(Math.abs(d.fromS - fromS)).toBeLessThanOrEqual(0.005);
      expect(Math.abs(d.toS - toS)).toBeLessThanOrEqual(0.012);
      expect(d.certainty).toBeGreaterThan(0.2);
    });
  });

  test('two minutes of swelling noise have none', () => {
    expect(heard(noise(seeded('quiet', 1), 120, [], 0, 6), 'noise').dropouts).toEqual([]);
  });

  test('a loss that goes on at the end is open; silence from the first has none, for nothing was expected', () => {
    const random = seeded('open', 1);
    const { dropouts } = heard(noise(random, 4, [{ fromS: 3, toS: 9 }]), 'noise');
    expect(dropouts).toMatchObject([{ fromS: expect.closeTo(3, 2), toS: expect.closeTo(4, 2), open: true }]);
    expect(heard(new Float32Array(4 * RATE), 'noise').dropouts).toEqual([]);
  });

  test('however the pieces are cut, the same is found', () => {
    const random = seeded('pieces', 1);
    const sound = noise(random, 6, gapsIn(random, 6));
    const whole = heard(sound, 'noise', sound.length);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (piece) => {
        expect(heard(sound, 'noise', piece)).toEqual(whole);
      }),
      { numRuns: 8 },
    );
    expect(whole.dropouts.length).toBeGreaterThan(2);
    expect(whole.thresholds).toEqual({ drop_db: 10, shortest_s: 0.01 });
  });

  test('a click in a gap does not close it, wrong use is refused', () => {
    const random = seeded('click', 1);
    const sound = noise(random, 4, [{ fromS: 2, toS: 3 }]);
    sound[2.5 * RATE] = 0.9;
    expect(heard(sound, 'noise').dropouts).toHaveLength(1);
    expect(() => new KnownLoss({ dropDb: 0 })).toThrow('invalid dropDb: 0');
    expect(() => new KnownLoss().push(NaN)).toThrow('invalid power: NaN');
    expect(() => new SoundDetector({ rateHz: 100, channels: 1, signal: 'noise' })).toThrow('invalid rateHz');
  });
});

describe('other signals', () => {
  test('a tone is missed where it is lost, though the noise beside it goes on at its level', () => {
    const random = seeded('tone', 1);
    const gaps = gapsIn(random, 20);
    const sound = noise(random, 20, []);
    for (let i = 0; i < sound.length; i++) {
      const lost = gaps.some((g) => i / RATE >= g.fromS && i / RATE < g.toS);
      sound[i] = 0.2 * (sound[i] as number) + (lost ? 0 : 0.2 * Math.sin((2 * Math.PI * TONE_HZ * i) / RATE));
    }
    const { dropouts } = heard(sound, 'tone');
    expect(dropouts).toHaveLength(gaps.length);
    dropouts.forEach((d, i) => expect(Math.abs(d.fromS - (gaps[i] as Gap).fromS)).toBeLessThanOrEqual(0.005));
  });

  test('where nothing is known of the signal, silence is told with its level and its shortest', () => {
    const random = seeded('silence', 1);
    const sound = noise(random, 8, [
      { fromS: 2, toS: 2.3 },
      { fromS: 4, toS: 5 },
    ]);
    const { dropouts, thresholds } = heard(sound, 'unknown');
    expect(dropouts).toMatchObject([
      { kind: 'silence', fromS: expect.closeTo(4, 2), toS: expect.closeTo(5, 2) },
    ]);
    expect(thresholds).toEqual({ below_db: -60, shortest_s: 0.5 });
  });

  test('clipping, a click, and a channel that goes missing are artefacts, and no dropouts', () => {
    const random = seeded('faults', 1);
    const left = noise(random, 6, []);
    for (let i = 2 * RATE; i < 2.2 * RATE; i++)
      left[i] = Math.max(-0.6, Math.min(0.6, 20 * (left[i] as number)));
    const right = Float32Array.from(left, (x, i) => (i > 4 * RATE ? 0 : x));
    const detector = new SoundDetector({ rateHz: RATE, channels: 2, signal: 'noise' });
    detector.push([left, right]);
    const { artefacts, dropouts } = detector.end();
    expect(dropouts).toEqual([]);
    expect(artefacts.find((a) => a.kind === 'clipping')).toMatchObject({
      fromS: expect.closeTo(2, 1),
      toS: expect.closeTo(2.2, 1),
    });
    expect(artefacts.filter((a) => a.kind === 'channel missing')).toMatchObject([
      {
        fromS: expect.closeTo(4, 1),
        toS: expect.closeTo(6, 1),
        open: true,
        figure: expect.stringContaining('right'),
      },
    ]);
    const smooth = Float32Array.from({ length: 2 * RATE }, (_, i) => 0.2 * Math.sin(i / 40));
    smooth[RATE] = 0.9;
    expect(heard(smooth, 'unknown').artefacts).toMatchObject([
      { kind: 'click', fromS: expect.closeTo(1, 3) },
    ]);
  });
});
