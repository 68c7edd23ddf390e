import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded, type Random } from '../random/seeded.ts';
import { align } from './alignment.ts';
import { KnownLoss } from './knownLoss.ts';
import { greyOf } from './grey.ts';
import { LivePicture } from './livePicture.ts';
import { LOOKED_AT } from './frameCells.ts';
import { PictureDetector } from './picture.ts';
import { referenceLoss } from './referenceLoss.ts';
import { LiveFaults } from './liveFaults.ts';
import { LiveLoss, type LiveChange } from './liveLoss.ts';
import { SoundDetector, type SentSignal, type SoundFound } from './sound.ts';
import { PILOT_HZ, PILOT_PART, TONE_HZ } from './toneFaults.ts';

// Known truth: noise, tones and silence made here, with gaps put in.

const RATE = 8000;

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
    const gaps = gapsIn(random, 30);
    const { dropouts } = heard(noise(random, 30, gaps, leftDb, swellDb), 'noise');
    expect(gaps.length).toBeGreaterThan(18);
    expect(dropouts).toHaveLength(gaps.length);
    dropouts.forEach((d, i) => {
      const { fromS, toS } = gaps[i] as Gap;
      expect(Math.abs(d.fromS - fromS)).toBeLessThanOrEqual(0.005);
      expect(Math.abs(d.toS - toS)).toBeLessThanOrEqual(0.012);
      expect(d.certainty).toBeGreaterThan(0.2);
    });
  });

  test('a bang, as loud and as near as it may be, is followed by no loss; a gap after it is found', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 20, noNaN: true }),
        fc.double({ min: 0.02, max: 0.6, noNaN: true }),
        fc.integer({ min: 1, max: 1e6 }),
        (louderDb, forS, seed) => {
          const sound = noise(seeded('bang', String(seed)), 6, [{ fromS: 4, toS: 4.1 }], -Infinity, 0);
          for (let i = 2 * RATE; i < (2 + forS) * RATE; i++)
            sound[i] = (sound[i] as number) * 10 ** (louderDb / 20);
          const { dropouts } = heard(sound, 'noise');
          expect(dropouts.map((d) => Math.round(10 * d.fromS))).toEqual([40]);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('a minute of swelling noise has none', () => {
    expect(heard(noise(seeded('quiet', 1), 60, [], 0, 6), 'noise').dropouts).toEqual([]);
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
    expect(thresholds).toMatchObject({ below_db: -60, shortest_s: 0.5 });
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

describe('noise that rises beside a tone', () => {
  const toned = (random: Random, levelDb: (s: number) => number): Float32Array =>
    Float32Array.from(
      { length: 20 * RATE },
      (_, i) =>
        0.2 * Math.sin((2 * Math.PI * TONE_HZ * i) / RATE) + 10 ** (levelDb(i / RATE) / 20) * random.normal(),
    );

  test('is found where it rose and where it was over, and not where it wanders', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1000 }),
        fc.double({ min: 3, max: 8, noNaN: true }),
        fc.double({ min: 0.3, max: 6, noNaN: true }),
        fc.double({ min: 14, max: 25, noNaN: true }),
        (seed, fromS, lastsS, riseDb) => {
          const risen = (s: number): boolean => s >= fromS && s < fromS + lastsS;
          const wander = (s: number): number => -50 + 3 * Math.sin(s);
          const random = seeded('rise', seed);
          const { artefacts, dropouts } = heard(
            toned(random, (s) => wander(s) + (risen(s) ? riseDb : 0)),
            'tone',
          );
          expect(dropouts).toEqual([]);
          expect(artefacts.map((a) => a.kind)).toEqual(['noise rise']);
          expect(Math.abs((artefacts[0]?.fromS ?? 0) - fromS)).toBeLessThanOrEqual(0.11);
          expect(Math.abs((artefacts[0]?.toS ?? 0) - fromS - lastsS)).toBeLessThanOrEqual(0.11);
          expect(heard(toned(random, wander), 'tone').artefacts).toEqual([]);
        },
      ),
      { numRuns: 15 },
    );
  });
});

describe('a tone with its pilot', () => {
  const SECONDS = 12;
  /** As it is received: noise beside it, a clock that drifts, at some moments ahead or behind by so much. */
  const received = (
    seed: string,
    {
      jumps,
      noiseDb,
      ppm,
      pilot,
    }: { jumps: (readonly [atS: number, byS: number])[]; noiseDb: number; ppm: number; pilot: boolean },
  ): Float32Array => {
    const random = seeded(seed);
    return Float32Array.from({ length: SECONDS * RATE }, (_, i) => {
      const s = i / RATE;
      const sentS = s * (1 + ppm * 1e-6) + jumps.reduce((sum, [atS, byS]) => sum + (s >= atS ? byS : 0), 0);
      const wave = (hz: number): number => Math.sin(2 * Math.PI * hz * sentS);
      const noisy = 10 ** (noiseDb / 20) * random.normal();
      return 0.14 * (wave(TONE_HZ) + (pilot ? PILOT_PART * wave(PILOT_HZ) : 0) + noisy / Math.SQRT2);
    });
  };
  const frame = fc.constantFrom(2.5, 5, 7.5, 10, 20, 40, 60);
  const jumpsIn = (sound: Float32Array): number[] =>
    heard(sound, 'tone').artefacts.flatMap((a) => (a.kind === 'time jump' ? [(a.fromS + a.toS) / 2] : []));

  test('tells frames of the usual lengths that were left out or played twice, whole periods of the tone', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(frame, fc.boolean()), { minLength: 1, maxLength: 4 }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.double({ min: -60, max: -20, noNaN: true }),
        fc.double({ min: -100, max: 100, noNaN: true }),
        fc.integer({ min: 0, max: 1000 }),
        (frames, offS, noiseDb, ppm, seed) => {
          const jumps = frames.map(
            ([ms, out], k) => [3 + 2 * k + offS, ((out ? 1 : -1) * ms) / 1000] as const,
          );
          const told = jumpsIn(received(`jumps ${seed}`, { jumps: [...jumps], noiseDb, ppm, pilot: true }));
          expect(told).toHaveLength(jumps.length);
          told.forEach((s, k) => expect(Math.abs(s - (jumps[k]?.[0] ?? NaN))).toBeLessThan(0.02));
          expect(jumpsIn(received(`none ${seed}`, { jumps: [], noiseDb, ppm, pilot: true }))).toEqual([]);
        },
      ),
      { numRuns: 15 },
    );
  });

  test('without the pilot whole periods cannot be told, other jumps can; none of it is loss or noise', () => {
    const plain = { noiseDb: -40, ppm: 30, pilot: false };
    expect(jumpsIn(received('plain', { ...plain, jumps: [[5, 0.01]] }))).toEqual([]);
    expect(jumpsIn(received('plain', { ...plain, jumps: [[5, 0.0033]] }))).toHaveLength(1);
    const { dropouts, artefacts } = heard(
      received('with', { ...plain, pilot: true, jumps: [[5, 0.02]] }),
      'tone',
    );
    expect([dropouts, artefacts.map((a) => a.kind)]).toEqual([[], ['time jump']]);
  });

  test('that is lost and comes back is a loss, and neither a jump nor noise', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.012, max: 0.4, noNaN: true }), fc.nat(1000), (lastsS, seed) => {
        const sound = received(`lost ${seed}`, { jumps: [], noiseDb: -40, ppm: 0, pilot: true });
        const random = seeded(`in the gap ${seed}`);
        for (let i = 5 * RATE; i < (5 + lastsS) * RATE; i++) sound[i] = 0.001 * random.normal();
        const { dropouts, artefacts } = heard(sound, 'tone');
        expect(artefacts).toEqual([]);
        expect(dropouts).toHaveLength(1);
      }),
      { numRuns: 15 },
    );
  });
});

describe('noise that rises under speech', () => {
  /** Like a voice: vowels of 80 to 300 ms with harmonics, hiss between some, closures, and a breath every few words. */
  function voice(random: Random, seconds: number): Float32Array {
    const out = new Float32Array(seconds * RATE);
    for (let at = 0; at < out.length;) {
      const long = Math.round(RATE * (0.08 + 0.22 * random.uniform()));
      const pitchHz = 90 + 80 * random.uniform();
      const loud = 0.1 + 0.2 * random.uniform();
      for (let i = 0; i < long && at + i < out.length; i++) {
        const swell = Math.sin((Math.PI * i) / long);
        for (let h = 1; h <= 12; h++)
          out[at + i] =
            (out[at + i] as number) + ((loud * swell) / h) * Math.sin((2 * Math.PI * pitchHz * h * i) / RATE);
      }
      at += long;
      if (random.uniform() < 0.4)
        for (const end = at + Math.round(0.08 * RATE); at < Math.min(end, out.length); at++)
          out[at] = 0.03 * random.normal();
      at += Math.round(RATE * (random.uniform() < 0.15 ? 0.6 : 0.05));
    }
    return out;
  }
  const under = (seed: number, levelDb: (s: number) => number): Float32Array => {
    const random = seeded('under', seed);
    return voice(random, 30).map((x, i) => x + 10 ** (levelDb(i / RATE) / 20) * random.normal());
  };
  const risesIn = (sound: Float32Array) =>
    heard(sound, 'unknown').artefacts.filter((a) => a.kind === 'noise rise');

  test('is found where it rose and where it was over, and nowhere else', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1000 }),
        fc.double({ min: 6, max: 15, noNaN: true }),
        fc.double({ min: 4.5, max: 9, noNaN: true }),
        fc.double({ min: 14, max: 25, noNaN: true }),
        (seed, fromS, lastsS, riseDb) => {
          const quiet = (s: number): number => -62 + 2 * Math.sin(s);
          const [rise, ...more] = risesIn(
            under(seed, (s) => quiet(s) + (s >= fromS && s < fromS + lastsS ? riseDb : 0)),
          );
          expect(more).toEqual([]);
          // As far as the voice pauses: it may be known a breath earlier or later.
          expect(Math.abs((rise?.fromS ?? 0) - fromS)).toBeLessThan(0.8);
          expect(Math.abs((rise?.toS ?? 0) - fromS - lastsS)).toBeLessThan(0.8);
          expect(risesIn(under(seed, quiet))).toEqual([]);
        },
      ),
      { numRuns: 12 },
    );
  });

  test('a gap, a louder passage of tones, and a rise that is too short are none', () => {
    const quiet = under(1, () => -60);
    const cut = quiet.map((x, i) => (i > 10 * RATE && i < 12 * RATE ? 0 : x));
    expect(risesIn(cut)).toEqual([]);
    const chord = quiet.map((x, i) =>
      i > 10 * RATE && i < 20 * RATE
        ? x + 0.05 * (Math.sin(i * 0.05) + Math.sin(i * 0.063) + Math.sin(i * 0.0749))
        : x,
    );
    expect(risesIn(chord)).toEqual([]);
    expect(risesIn(under(1, (s) => (s > 10 && s < 11 ? -40 : -60)))).toEqual([]);
  });

  test('a recording that begins amid the frame of a codec, or comes back so, has not risen', () => {
    const steady = noise(seeded('begins', 1), 12, []);
    // The lead of a codec of 1024 samples, and after a gap once more: weak, and not nothing.
    for (const [fromS, leadS] of [
      [0, 0.0213],
      [0, 0.15],
      [5.5, 0.05],
    ] as const)
      for (let i = Math.round(fromS * RATE); i < (fromS + leadS) * RATE; i++) steady[i]! *= 0.02;
    expect(risesIn(steady.fill(0, 5 * RATE, 5.5 * RATE))).toEqual([]);
  });
});

describe('a buffer that is stuck', () => {
  /** Noise in which a block is played again so many times. */
  const played = (seed: number, block: number, times: number): Float32Array => {
    const sound = noise(seeded('stuck', seed), 4, []);
    for (let i = 0; i < block * times; i++)
      sound[2 * RATE + i] = sound[2 * RATE - block + (i % block)] as number;
    return sound;
  };

  test('is found from its first repeat to its last, to the sample', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1000 }),
        fc.integer({ min: 40, max: 700 }),
        fc.integer({ min: 2, max: 5 }),
        (seed, block, times) => {
          const { artefacts } = heard(played(seed, block, times), 'noise');
          const [stuck, ...more] = artefacts.filter((a) => a.kind === 'stuck');
          expect(more).toEqual([]);
          expect(Math.abs((stuck?.fromS ?? 0) - 2)).toBeLessThan(2.5 / RATE);
          expect(Math.abs((stuck?.toS ?? 0) - 2 - (block * times) / RATE)).toBeLessThan(2.5 / RATE);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('and clicks and clipping, the same however the pieces are cut', () => {
    const sound = played(3, 321, 4).map((x) => x / 20);
    [sound[9000], sound[9001]] = [0.9, -0.9];
    sound.fill(0.8, 4000, 4008);
    const whole = heard(sound, 'noise', sound.length);
    expect(new Set(whole.artefacts.map((a) => a.kind))).toEqual(new Set(['click', 'clipping', 'stuck']));
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), (piece) => {
        expect(heard(sound, 'noise', piece)).toEqual(whole);
      }),
      { numRuns: 15, examples: [[1], [7], [8192], [8193]] },
    );
  });

  test('at the rates of other inputs too', () => {
    for (const rateHz of [16_000, 44_100, 96_000, 192_000]) {
      const random = seeded('rates', rateHz);
      const sound = Float32Array.from({ length: 2 * rateHz }, () => 0.1 * random.normal());
      const [at, block] = [Math.round(rateHz * 1.2), Math.round(rateHz * 0.08)];
      for (let i = 0; i < 3 * block; i++) sound[at + i] = sound[at - block + (i % block)] as number;
      const detector = new SoundDetector({ rateHz, channels: 1, signal: 'noise' });
      detector.push([sound]);
      const stuck = detector.end().artefacts.filter((a) => a.kind === 'stuck');
      expect(stuck).toMatchObject([{ figure: '80 ms played 4 times' }]);
      expect(Math.abs((stuck[0]?.fromS ?? 0) - 1.2)).toBeLessThan(2.5 / rateHz);
      expect(Math.abs((stuck[0]?.toS ?? 0) - 1.44)).toBeLessThan(2.5 / rateHz);
    }
  });

  test('noise, silence, a tone and a swelling voice are not stuck', () => {
    const silence = new Float32Array(2 * RATE);
    const [tone, high] = [440, 500].map((hz) =>
      Float32Array.from({ length: 4 * RATE }, (_, i) => 0.3 * Math.sin((2 * Math.PI * hz * i) / RATE)),
    ) as [Float32Array, Float32Array];
    const voice = Float32Array.from(
      { length: 4 * RATE },
      (_, i) =>
        0.2 * Math.sin(i / 900) * (Math.sin(i / 9) + 0.5 * Math.sin(i / 4.6) + 0.3 * Math.sin(i / 3.1)),
    );
    for (const sound of [noise(seeded('free', 1), 60, []), silence, tone, high, voice])
      expect(heard(sound, 'unknown').artefacts.filter((a) => a.kind === 'stuck')).toEqual([]);
  });
});

describe('two recordings of the same', () => {
  const random = seeded('pair', 1);
  /** Speech-like: noise in bursts of a syllable's length, of unlike loudness, with pauses. */
  const sent = Float32Array.from({ length: 40 * RATE }, (_, i) => {
    const syllable = Math.floor(i / (0.18 * RATE));
    return syllable % 5 === 4 ? 0 : 0.2 * (0.4 + 0.6 * Math.abs(Math.sin(7 * syllable))) * random.normal();
  });
  const [delayS, driftPpm] = [0.2345, 40];
  const received = (noiseDb: number, gaps: readonly Gap[] = []): Float32Array =>
    Float32Array.from({ length: sent.length + RATE }, (_, i) => {
      const s = (i / RATE - delayS) / (1 + driftPpm * 1e-6);
      const k = Math.floor(s * RATE);
      const part = s * RATE - k;
      const lost = gaps.some((g) => s >= g.fromS && s < g.toS);
      const clean = lost ? 0 : (1 - part) * (sent[k] ?? 0) + part * (sent[k + 1] ?? 0);
      return clean + 0.15 * 10 ** (noiseDb / 20) * random.normal();
    });

  test.each([
    ['clean', -60],
    ['with as much noise as signal', 0],
  ])('delay to 0.1 ms and drift to 5 ppm, %s', (_, noiseDb) => {
    const found = align(sent, received(noiseDb), RATE);
    expect(Math.abs((found?.delayS ?? 0) - delayS)).toBeLessThan(1e-4);
    expect(Math.abs((found?.driftPpm ?? 0) - driftPpm)).toBeLessThan(5);
    expect(found?.blocks).toBeGreaterThan(8);
  });

  test('what is not the same is not aligned', () => {
    const other = seeded('other', 1);
    expect(
      align(
        sent,
        Float32Array.from(sent, () => 0.1 * other.normal()),
        RATE,
      ),
    ).toBeUndefined();
    expect(() => align(sent, sent, 0)).toThrow('invalid rateHz: 0');
  });

  test('gaps where something was said are found with their reference, and pauses are none', () => {
    const gaps = [
      { fromS: 3.66, toS: 3.78 },
      { fromS: 10.1, toS: 10.4 },
      { fromS: 25.25, toS: 25.31 },
    ];
    const heard = received(-40, gaps);
    const alignment = align(sent, heard, RATE);
    const { dropouts, audibleShare } = referenceLoss(
      sent,
      heard,
      RATE,
      alignment as NonNullable<typeof alignment>,
    );
    const receivedS = (s: number): number => s * (1 + driftPpm * 1e-6) + delayS;
    expect(dropouts).toHaveLength(gaps.length);
    gaps.forEach(({ fromS, toS }, i) => {
      expect(Math.abs((dropouts[i]?.fromS ?? 0) - receivedS(fromS))).toBeLessThanOrEqual(0.005);
      expect(Math.abs((dropouts[i]?.toS ?? 0) - receivedS(toS))).toBeLessThanOrEqual(0.01);
    });
    expect(audibleShare).toBeCloseTo(0.8, 1);
  });
});

describe('pictures', () => {
  const { width, height } = LOOKED_AT;
  /** A pattern that drifts, with sensor noise; in the gaps it stands, and each frame has noise of its own or none. */
  function film(seconds: number, gaps: readonly Gap[], sensor: number): Uint8Array[] {
    const random = seeded('film', sensor);
    let last = new Uint8Array(width * height);
    return Array.from({ length: 25 * seconds }, (_, n) => {
      if (!gaps.some((g) => n / 25 >= g.fromS && n / 25 < g.toS))
        last = Uint8Array.from(
          { length: width * height },
          (_, i) => 120 + 60 * Math.sin(((i % width) + 1.5 * n) / 9) + sensor * random.normal(),
        );
      return last;
    });
  }
  const seen = (frames: readonly Uint8Array[]) => {
    const detector = new PictureDetector();
    frames.forEach((f, n) => detector.push(f, n / 25));
    return detector.end();
  };
  const gaps = [
    { fromS: 2, toS: 2.2 },
    { fromS: 4, toS: 5 },
  ];

  test.each([0, 6])('freezes to the frame, with sensor noise of %d', (sensor) => {
    const { dropouts, artefacts, durationS } = seen(film(8, gaps, sensor));
    expect(dropouts).toMatchObject(
      gaps.map((g) => ({ kind: 'freeze', fromS: expect.closeTo(g.fromS, 6), toS: expect.closeTo(g.toS, 6) })),
    );
    expect([artefacts, durationS]).toEqual([[], 8]);
  });

  test('a film that stuttered twice hides no freezes, whose noise a codec draws anew', () => {
    const frames: Uint8Array[] = film(16, [], 4);
    const random = seeded('drawn anew');
    const drawnAnew = (f: Uint8Array): Uint8Array =>
      f.map((g) => Math.max(0, Math.min(255, g + Math.round(0.4 * random.normal()))));
    for (const n of [5, 9]) frames[n] = (frames[n - 1] as Uint8Array).slice();
    const frozen = [
      { fromS: 1, toS: 2 },
      { fromS: 3, toS: 6 },
      { fromS: 8, toS: 12 },
    ];
    for (const { fromS, toS } of frozen)
      for (let n = 25 * fromS; n < 25 * toS; n++) frames[n] = drawnAnew(frames[25 * fromS - 1] as Uint8Array);
    expect(seen(frames).dropouts).toMatchObject(frozen.map((g) => ({ kind: 'freeze', ...g, open: false })));
  });

  test('a freeze in a recording of the film’s own rate or a higher one: to a frame, and no repeats', () => {
    fc.assert(
      fc.property(
        fc.constantFrom([24, 24], [24, 30], [25, 50], [25, 60], [30, 60], [15, 30]),
        fc.integer({ min: 40, max: 90 }),
        fc.integer({ min: 4, max: 40 }),
        fc.constantFrom(0, 3),
        ([sent, recorded], from, lasts, sensor) => {
          const made = film(6, [{ fromS: from / 25, toS: (from + lasts) / 25 }], sensor);
          const detector = new PictureDetector();
          for (let n = 0; (sent * n) / recorded < made.length; n++)
            detector.push(made[Math.floor((sent * n) / recorded)] as Uint8Array, n / recorded);
          const { dropouts, artefacts } = detector.end();
          expect(artefacts).toEqual([]);
          expect(dropouts).toMatchObject([{ kind: 'freeze', open: false }]);
          const [{ fromS = 0, toS = 0 } = {}] = dropouts;
          expect(Math.abs(fromS - from / sent)).toBeLessThan(1.5 / sent);
          expect(Math.abs(toS - (from + lasts) / sent)).toBeLessThan(1.5 / sent);
        },
      ),
      { numRuns: 12, seed: 7 },
    );
  });

  test('a camera that comes to rest, or goes on more slowly, is no freeze; a picture that stops at once is', () => {
    const random = seeded('rest');
    const view = (s: number): Uint8Array => {
      const at = 160 * Math.sin(0.7 * s) ** 3 + (s > 14 ? 2 * (s - 14) : 0);
      return Uint8Array.from(
        { length: width * height },
        (_, i) => 120 + 60 * Math.sin(((i % width) + at) / 9) + 0.6 * random.normal(),
      );
    };
    const frames = Array.from({ length: 25 * 20 }, (_, n) => view(n / 25));
    expect(seen(frames)).toMatchObject({ dropouts: [], artefacts: [] });
    for (let n = 250; n < 265; n++) frames[n] = frames[249] as Uint8Array;
    expect(seen(frames).dropouts).toMatchObject([{ kind: 'freeze', fromS: 10, toS: 10.6, open: false }]);
  });

  test('a frozen picture that a key frame brings up to what should have stood there is one freeze', () => {
    const frames = film(8, [{ fromS: 4, toS: 6 }], 2);
    const [behind, stood] = [frames[92], frames[99]] as [Uint8Array, Uint8Array];
    for (let n = 100; n < 125; n++) frames[n] = behind;
    for (let n = 125; n < 150; n++) frames[n] = stood;
    expect(seen(frames).dropouts).toMatchObject([
      { kind: 'freeze', fromS: expect.closeTo(4, 1), toS: 6, open: false },
    ]);
  });

  test('a film that went on after a cut and then freezes is frozen from there, and no card', () => {
    const [before, after] = [film(8, [], 3), film(8, [{ fromS: 4.56, toS: 6 }], 3)];
    const frames = before.map((f, n): Uint8Array =>
      n < 100 ? f : Uint8Array.from(after[n] as Uint8Array).toReversed(),
    );
    expect(seen(frames).dropouts).toMatchObject([
      { kind: 'freeze', fromS: expect.closeTo(4.56, 6), toS: expect.closeTo(6, 6) },
    ]);
  });

  test('a card of the receiver: a still picture that came with a cut', () => {
    const frames = film(8, [], 3);
    const card = Uint8Array.from({ length: width * height }, (_, i) =>
      i % width > 50 && i % width < 110 && i > 40 * width && i < 50 * width ? 235 : 40,
    );
    for (let n = 100; n < 140; n++) frames[n] = card;
    expect(seen(frames).dropouts).toMatchObject([
      { kind: 'cut to a still', fromS: 4, toS: expect.closeTo(5.6, 6), open: false },
    ]);
  });

  test('a square that is filled with grey at once is blocks, to the frame, with sensor noise and without', () => {
    for (const sensor of [0, 3]) {
      const frames = film(8, [], sensor);
      for (let n = 120; n < 130; n++)
        frames[n] = (frames[n] as Uint8Array).map((g, i) => {
          const [x, y] = [i % width, Math.floor(i / width)];
          return x >= 40 && x < 80 && y >= 20 && y < 50 ? 128 : g;
        });
      const { dropouts, artefacts } = seen(frames);
      expect(dropouts).toEqual([]);
      expect(artefacts).toMatchObject([
        { kind: 'blocks', fromS: expect.closeTo(4.8, 6), toS: expect.closeTo(5.2, 6), open: false },
      ]);
    }
  });

  test('a square in a film of 25 frames a second that was recorded at 60 is blocks too', () => {
    const frames = film(8, [], 2);
    for (let n = 120; n < 130; n++)
      frames[n] = (frames[n] as Uint8Array).map((g, i) =>
        i % width < 40 && i >= 20 * width && i < 50 * width ? 128 : g,
      );
    const detector = new PictureDetector();
    for (let n = 0; n < 60 * 8; n++) detector.push(frames[Math.floor((25 * n) / 60)] as Uint8Array, n / 60);
    const { dropouts, artefacts } = detector.end();
    expect(dropouts).toEqual([]);
    expect(artefacts).toMatchObject([
      { kind: 'blocks', fromS: expect.closeTo(4.8, 1), toS: expect.closeTo(5.2, 1) },
    ]);
  });

  test('a frame put together from two is torn, above or below, one of them or several in a row', () => {
    for (const noise of [0, 5]) {
      const frames = film(10, [], noise);
      const torn = frames.map((f) => f.slice());
      // Below row 50 the frame before stands; then above row 30; then four in turn, each other one.
      const below = (n: number): void =>
        (torn[n] as Uint8Array).set((frames[n - 1] as Uint8Array).subarray(50 * width), 50 * width);
      const above = (n: number): void =>
        (torn[n] as Uint8Array).set((frames[n - 1] as Uint8Array).subarray(0, 30 * width));
      below(100);
      above(150);
      for (const n of [200, 202, 204]) below(n);
      const { dropouts, artefacts } = seen(torn);
      expect(dropouts).toEqual([]);
      expect(artefacts).toMatchObject([
        {
          kind: 'torn frame',
          fromS: 4,
          figure: expect.stringMatching(/^1 frame whose lower 4\d % came late$/),
        },
        {
          kind: 'torn frame',
          fromS: 6,
          figure: expect.stringMatching(/^1 frame whose upper 3\d % came late$/),
        },
        { kind: 'torn frame', fromS: 8, figure: expect.stringMatching(/^3 frames whose lower/) },
      ]);
    }
  });

  test('nothing is spoilt in a film that goes on, cuts included', () => {
    const frames = film(12, [], 4);
    const other = film(12, [], 5).map((f) => f.map((g) => 255 - g));
    for (let n = 150; n < 220; n++) frames[n] = other[n] as Uint8Array;
    expect(seen(frames)).toMatchObject({ dropouts: [], artefacts: [] });
  });

  test('black and one colour; a single repeated frame is an artefact; what hardly moves is said to', () => {
    const frames = film(8, [{ fromS: 6, toS: 6.04 }], 3);
    for (let n = 50; n < 60; n++) frames[n] = new Uint8Array(width * height).fill(16);
    for (let n = 100; n < 110; n++) frames[n] = new Uint8Array(width * height).fill(180);
    const { dropouts, artefacts } = seen(frames);
    expect(dropouts).toMatchObject([
      { kind: 'black', fromS: 2, toS: expect.closeTo(2.4, 6) },
      { kind: 'one colour', fromS: 4, toS: expect.closeTo(4.4, 6) },
    ]);
    expect(artefacts).toMatchObject([{ kind: 'repeated frame', fromS: 6 }]);
    const still = film(1, [], 0)[0] as Uint8Array;
    expect(seen(Array.from({ length: 100 }, () => still))).toMatchObject({ dropouts: [], tooStill: true });
    expect(() => new PictureDetector().push(new Uint8Array(3), 0)).toThrow('invalid grey: 3 dots');
  });
});

describe('losses told while the picture comes in', () => {
  const { width, height } = LOOKED_AT;
  const size = width * height;
  const frameOf = (n: number): Uint8Array =>
    Uint8Array.from({ length: size }, (_, i) => 120 + 60 * Math.sin(((i % width) + 1.5 * n) / 9));

  test('each as soon as it has lasted 150 ms, by what it is, where it began and ended', () => {
    const live = new LivePicture();
    const told: [number, string, number][] = [];
    for (let n = 0; n < 200; n++) {
      const grey = n >= 150 && n < 175 ? new Uint8Array(size) : frameOf(n >= 50 && n < 75 ? 49 : n);
      for (const { kind, atS, figure } of live.push(grey, n / 25)) {
        told.push([n, kind, atS]);
        expect(figure).toMatch(n < 100 ? /^freeze/ : /^black/);
      }
    }
    expect(told).toEqual([
      [54, 'lost', 2],
      [expect.any(Number), 'back', 3],
      [154, 'lost', 6],
      [175, 'back', 7],
    ]);
    expect(live.usualChange).toBeGreaterThan(1);
  });

  test('a picture that stood and then moves slowly has come back', () => {
    const live = new LivePicture();
    const told: [number, string, string][] = [];
    for (let n = 0, place = 0; n < 250; n++) {
      place += n < 100 ? 1 : n < 106 ? 0 : 0.35;
      for (const { kind, figure } of live.push(frameOf(place), n / 25)) told.push([n, kind, figure]);
    }
    expect(told).toEqual([
      [104, 'lost', 'freeze'],
      [expect.any(Number), 'back', 'it moves, slowly'],
    ]);
    expect(told[1]?.[0]).toBeLessThan(150);
  });

  test('a picture whose new codes are read comes through, however little it changes between them', () => {
    // A busy machine hands on the frames in which the code changes, and then those between, too.
    const live = new LivePicture();
    const code = (n: number): Uint8Array =>
      Uint8Array.from({ length: size }, (_, i) => (((i * 2654435761) >>> (n % 13)) & 1 ? 200 : 40));
    const told: [string, number][] = [];
    const take = (changes: readonly LiveChange[]): void =>
      void told.push(...changes.map(({ kind, atS }): [string, number] => [kind, atS]));
    for (let n = 0; n < 20; n++) take(live.push(code(n), n / 5));
    // Read a tenth of a second late.
    for (let n = 100; n < 400; n++) {
      const shown = n < 250 ? n : n < 300 ? 249 : n;
      if (n % 5 === 3 && shown === n) take(live.prove((n - 3) / 25));
      take(live.push(n >= 350 && n < 375 ? new Uint8Array(size) : code(Math.floor(shown / 5)), n / 25));
    }
    // It stood from 10 s on, and was black from 14 to 15 s; what is proven is known a moment later.
    expect(told).toEqual([
      ['lost', expect.closeTo(9.8, 1)],
      ['back', 12],
      ['lost', 14],
      ['back', 15],
    ]);
  });

  test('black before the first picture is nothing lost', () => {
    const live = new LivePicture();
    for (let n = 0; n < 50; n++) expect(live.push(new Uint8Array(size), n / 25)).toEqual([]);
    for (let n = 50; n < 100; n++) expect(live.push(frameOf(n), n / 25)).toEqual([]);
    const told = Array.from({ length: 10 }, (_, i) => live.push(new Uint8Array(size), (100 + i) / 25)).flat();
    expect(told).toMatchObject([{ kind: 'lost', atS: 4, figure: 'black' }]);
  });

  test('a picture that hardly moves has no usual change: nothing is said to come through', () => {
    const live = new LivePicture();
    for (let n = 0; n < 100; n++) expect(live.push(frameOf(0), n / 25)).toEqual([]);
    expect([live.change, live.usualChange]).toEqual([0, undefined]);
    expect(() => greyOf(new Uint8ClampedArray(4), new Uint8Array(2))).toThrow('4 bytes are not 2 dots');
  });
});

describe('losses told while the sound comes in', () => {
  test('each as soon as it has lasted, where it began, and where it ended; nothing else', () => {
    const random = seeded('live');
    const gaps = [
      [3, 3.2],
      [5, 5.004],
      [7, 9],
    ] as const;
    const live = new LiveLoss(RATE, 'noise', { loss: { leastS: 0.05 } });
    const told: (LiveChange & { toldS: number })[] = [];
    const piece = RATE / 100;
    for (let n = 0; n < 1100; n++) {
      const sound = Float32Array.from({ length: piece }, (_, i) => {
        const s = (n * piece + i) / RATE;
        return 0.1 * random.normal() * (gaps.some(([from, to]) => s >= from && s < to) ? 0.01 : 1);
      });
      told.push(...live.push(sound).map((c) => ({ ...c, toldS: live.heardS })));
    }
    expect(told.map((t) => t.kind)).toEqual(['lost', 'back', 'lost', 'back']);
    [3, 3.2, 7, 9].forEach((s, i) => expect(Math.abs((told[i]?.atS ?? 0) - s)).toBeLessThan(0.005));
    for (const { atS, toldS } of told) expect(toldS - atS).toBeLessThan(0.1);
    expect(live.levelDb).toBeCloseTo(-20, 0);
    expect(told[0]?.figure).toContain('dB below what was expected');
  });

  test('where nothing is known of the signal, a silence is told once it is no pause', () => {
    const live = new LiveLoss(RATE, 'unknown', { silence: { leastS: 0.5 } });
    const told: LiveChange[] = [];
    for (const [seconds, amplitude] of [
      [1, 0.1],
      [0.3, 0],
      [1, 0.1],
      [1, 0],
      [0.2, 0.1],
    ] as const) {
      const sound = Float32Array.from({ length: seconds * RATE }, (_, i) => amplitude * Math.sin(i));
      for (let i = 0; i < sound.length; i += 480) told.push(...live.push(sound.subarray(i, i + 480)));
    }
    expect(told.map((t) => [t.kind, Math.round(100 * t.atS) / 100])).toEqual([
      ['lost', 2.3],
      ['back', 3.3],
    ]);
    expect(() => new LiveLoss(100, 'noise')).toThrow('100');
  });

  test('until a signal was heard there is no usual level, and nothing is said to be lost or to come through', () => {
    const live = new LiveLoss(RATE, 'noise');
    expect(live.push(new Float32Array(2 * RATE))).toEqual([]);
    expect(live.usualDb).toBeUndefined();
    const random = seeded('late');
    expect(live.push(Float32Array.from({ length: RATE }, () => 0.1 * random.normal()))).toEqual([]);
    expect(live.usualDb).toBeCloseTo(-20, 0);
  });
});

describe('faults told while the sound comes in', () => {
  const TENTH = RATE / 10;
  /** Played in tenths of a second, as a page hears it: what was told, and when. */
  const told = (
    sound: Float32Array,
    signal: SentSignal,
  ): (readonly [kind: string, fromS: number, toldS: number])[] => {
    const [loss, faults] = [new LiveLoss(RATE, signal), new LiveFaults(RATE, signal)];
    const found: (readonly [string, number, number])[] = [];
    for (let at = 0; at < sound.length; at += TENTH) {
      const piece = sound.subarray(at, at + TENTH);
      for (const f of faults.push(piece, loss.push(piece), loss.usualSinceS))
        found.push([f.kind, f.fromS, (at + TENTH) / RATE]);
    }
    return found;
  };

  test('clipping and a stuck buffer, each once within five seconds, and soon', () => {
    const sound = noise(seeded('faults'), 20, [{ fromS: 3, toS: 3.5 }]).map((x) => 0.3 * x);
    for (const s of [6, 6.2, 12]) sound.set([0.9, 0.9, 0.9, 0.9, 0.9], s * RATE);
    for (let i = 0; i < 5; i++) sound.set(sound.slice(15 * RATE, 15 * RATE + 160), 15 * RATE + 160 * i);
    const found = told(sound, 'noise');
    const kinds = (kind: string): number[] =>
      found.filter(([k]) => k === kind).map(([, s]) => Math.round(10 * s) / 10);
    expect(kinds('clipping')).toEqual([6, 12]);
    expect(kinds('stuck').map(Math.round)).toEqual([15]);
    for (const [, fromS, toldS] of found) expect(toldS - fromS).toBeLessThan(1);
  });

  test('a click, and none where the sound is cut off or comes back', () => {
    // A hum that is cut off at its crest, where it jumps.
    const random = seeded('click');
    const sound = Float32Array.from({ length: 12 * RATE }, (_, i) => {
      const s = i / RATE;
      return (s >= 3 && s < 4 ? 0 : 0.3 * Math.cos(2 * Math.PI * 50 * s)) + 2e-4 * random.normal();
    });
    sound[9 * RATE + 40] = 0.9;
    expect(heard(sound, 'unknown').artefacts.map((a) => a.kind)).toEqual(['click']);
    const found = told(sound, 'unknown');
    expect(found.map(([kind, fromS]) => [kind, Math.round(fromS)])).toEqual([['click', 9]]);
  });

  test('a voice that sets in after a pause is no click, at any rate; a wrong sample in it is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1000 }),
        fc.constantFrom(16_000, 22_050, 48_000),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (seed, rateHz, wrongAt) => {
          const random = seeded('glottis', seed);
          // The glottis shuts some hundred times a second, and each time the throat rings at its formants.
          const sound = new Float32Array(3 * rateHz);
          for (let s = 0.5; s < 2.9; s += (1 + 0.05 * random.normal()) / 110) {
            if (s > 1.2 && s < 1.7) continue;
            for (let i = 0; i < 0.02 * rateHz; i++)
              for (const [hz, loud] of [
                [600, 0.2],
                [1700, 0.1],
                [2600, 0.1],
                [3500, 0.1],
              ] as const) {
                const at = Math.round(s * rateHz) + i;
                if (at < sound.length)
                  sound[at] =
                    (sound[at] as number) +
                    loud * Math.exp((-i / rateHz) * 300) * Math.sin((2 * Math.PI * hz * i) / rateHz);
              }
          }
          const clicksIn = (x: Float32Array): number[] => {
            const detector = new SoundDetector({ rateHz, channels: 1, signal: 'unknown' });
            detector.push([x]);
            return detector
              .end()
              .artefacts.filter((a) => a.kind === 'click')
              .map((a) => a.fromS);
          };
          expect(clicksIn(sound)).toEqual([]);
          // In the pause, where a step is heard.
          const at = Math.round((1.3 + 0.3 * wrongAt) * rateHz);
          sound[at] = (sound[at] as number) + 0.3;
          expect(clicksIn(sound)).toEqual([expect.closeTo(at / rateHz, 3)]);
        },
      ),
      { numRuns: 20 },
    );
  });

  test('a signal that is switched on is no click', () => {
    const sound = noise(seeded('on'), 8, []);
    sound.fill(0, 0, 2 * RATE);
    expect(told(sound, 'noise')).toEqual([]);
  });

  test('noise that rises beside a tone is told while it lasts, once', () => {
    const random = seeded('rising');
    const sound = Float32Array.from({ length: 12 * RATE }, (_, i) => {
      const s = i / RATE;
      return 0.2 * Math.sin(2 * Math.PI * TONE_HZ * s) + (s >= 6 && s < 9 ? 0.03 : 0.002) * random.normal();
    });
    const found = told(sound, 'tone');
    expect(found.map(([kind]) => kind)).toEqual(['noise rise']);
    expect(found[0]?.[1]).toBeCloseTo(6, 0);
    expect((found[0]?.[2] ?? 0) - 6).toBeLessThan(0.5);
  });

  test('a moment of a tone with its pilot that was played twice is told soon', () => {
    const sound = Float32Array.from({ length: 8 * RATE }, (_, i) => {
      const s = i / RATE - (i >= 5 * RATE ? 0.02 : 0);
      return (
        [TONE_HZ, PILOT_HZ].reduce(
          (sum, hz, k) => sum + PILOT_PART ** k * Math.sin(2 * Math.PI * hz * s),
          0,
        ) / 8
      );
    });
    const found = told(sound, 'tone');
    expect(found.map(([kind]) => kind)).toEqual(['time jump']);
    expect(Math.abs((found[0]?.[1] ?? NaN) - 5)).toBeLessThan(0.02);
    expect((found[0]?.[2] ?? NaN) - 5).toBeLessThan(0.2);
  });
});
