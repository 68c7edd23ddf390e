import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LiveLoss } from '../detect/liveLoss.ts';
import { seeded } from '../random/seeded.ts';
import { CHIRP_RATE_HZ, codeOf, decode, PACKET, PACKET_S, packetOf } from './chirpCode.ts';
import { beaconLosses } from './beaconLosses.ts';
import { ChirpReader, type HeardPacket } from './chirpReader.ts';
import { crc24 } from './crc24.ts';
import { fromKnown, withChecks } from './erasure.ts';
import { CODE_MODULES, EDGE_STRIP, edgeIn, sentBy, type CodeCorners, type Dot } from './movingEdge.ts';
import { messageBytes, messageOf, MOST_SEQUENCE, MOST_TAG, tagOf } from './message.ts';
import { pictureMessageOf, pictureText } from './pictureCode.ts';
import { LiveCodes, type CodesTold } from './liveCodes.ts';
import { LivePackets, PACKET_EVERY_S } from './livePackets.ts';
import { SeenCodes } from './seenCodes.ts';
import { beaconTrack } from './track.ts';

const message = fc.record({ tag: fc.nat(MOST_TAG), sequence: fc.nat(MOST_SEQUENCE) });

describe('what a beacon carries', () => {
  test('comes back from its bytes; what does not fit is refused with its value', () => {
    fc.assert(fc.property(message, (m) => expect(messageOf(messageBytes(m))).toEqual(m)));
    expect(() => messageBytes({ tag: 4096, sequence: 0 })).toThrow('4096');
    expect(() => messageBytes({ tag: 0, sequence: 2 ** 28 })).toThrow('268435456');
    expect(() => messageOf(new Uint8Array(4))).toThrow('4 of 5');
  });

  test('tags of walks spread over all there are', () => {
    const random = seeded('tags');
    const tags = Array.from({ length: 4000 }, () => tagOf(`${random.uniform()}-walk`));
    expect(Math.min(...tags)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...tags)).toBeLessThanOrEqual(MOST_TAG);
    // Of 4,000 throws at 4,096 places, 4096 (1 - exp(-4000/4096)) = 2,554 are hit.
    expect(Math.abs(new Set(tags).size - 2554)).toBeLessThan(120);
  });

  test('CRC-24 gives the check value of its catalogue entry, CRC-24/OPENPGP: 0x21cf02 for "123456789"', () => {
    expect(crc24(new TextEncoder().encode('123456789'))).toBe(0x21cf02);
  });

  test('any eight of the eleven bytes give all of it back', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ minLength: 8, maxLength: 8 }),
        fc.shuffledSubarray([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10], { minLength: 8, maxLength: 8 }),
        (data, known) => {
          const code = withChecks(data, 3);
          const torn = code.map((byte, i) => (known.includes(i) ? byte : byte ^ 0x5a));
          expect(fromKnown(torn, known, 8)).toEqual(data);
        },
      ),
    );
  });

  test('bytes that are wrong and known to be doubtful are corrected; four wrong ones are refused', () => {
    fc.assert(
      fc.property(
        message,
        fc.shuffledSubarray([...Array(11).keys()], { minLength: 4, maxLength: 4 }),
        (m, at) => {
          const sure = (wrong: number[]) =>
            Array.from({ length: 11 }, (_, i) => (wrong.includes(i) ? 0.1 : 0.9));
          const torn = (wrong: number[]) => codeOf(m).map((b, i) => (wrong.includes(i) ? b ^ 0x81 : b));
          expect(decode(torn(at.slice(1)), sure(at.slice(1)))).toEqual(m);
          expect(decode(torn(at), sure(at))).not.toEqual(m);
        },
      ),
      { numRuns: 50 },
    );
  });
});

/** Packets in noise: their places, and what was read of the sound in pieces of so many samples. */
function heard(
  seed: string,
  { count, snrDb, piece }: { count: number; snrDb: number; piece: number },
): { atS: number[]; read: HeardPacket[] } {
  const random = seeded(seed);
  const sound = new Float32Array((count + 1) * (PACKET + 4000));
  // Of white noise over 24 kHz, a sixth lies within the 4 kHz that are kept.
  const sigma = Math.sqrt(0.5 / 10 ** (snrDb / 10) / 6);
  for (let i = 0; i < sound.length; i++) sound[i] = sigma * random.normal();
  const atS = Array.from({ length: count }, (_, k) => {
    const from = k * (PACKET + 4000) + Math.floor(3000 * random.uniform());
    packetOf({ tag: 77, sequence: k }).forEach((x, i) => (sound[from + i] = (sound[from + i] as number) + x));
    return from / CHIRP_RATE_HZ;
  });
  const reader = new ChirpReader();
  const read: HeardPacket[] = [];
  for (let i = 0; i < sound.length; i += piece) read.push(...reader.push(sound.subarray(i, i + piece)));
  return { atS, read: [...read, ...reader.end()] };
}

describe('the code in sound', () => {
  test('takes 1.792 s', () => expect(PACKET_S).toBe(1.792));

  test.each([
    [0, 0.00002],
    [-15, 0.0001],
  ])('at %d dB every packet is read, and its arrival known to %d s', (snrDb, withinS) => {
    const { atS, read } = heard(`packets ${snrDb}`, { count: 8, snrDb, piece: 1000 });
    expect(read.map(({ tag, sequence }) => [tag, sequence])).toEqual(atS.map((_, k) => [77, k]));
    read.forEach((r, k) => expect(Math.abs(r.atS - (atS[k] as number))).toBeLessThan(withinS));
  });

  test('in pieces of any length the same is read', () => {
    const whole = heard('pieces', { count: 3, snrDb: 0, piece: 1e9 }).read;
    expect(whole).toHaveLength(3);
    for (const piece of [160, 4097])
      expect(heard('pieces', { count: 3, snrDb: 0, piece }).read.map((r) => r.sequence)).toEqual([0, 1, 2]);
  });

  test('in two minutes of noise, and of a tone that sweeps, nothing is read', () => {
    const random = seeded('nothing');
    const reader = new ChirpReader();
    let read = 0;
    for (let s = 0; s < 120; s++) {
      const piece = Float32Array.from({ length: CHIRP_RATE_HZ }, (_, i) => {
        const t = s + i / CHIRP_RATE_HZ;
        return s < 60 ? random.normal() : Math.sin(2 * Math.PI * (1700 * t + 900 * Math.sin(t)));
      });
      read += reader.push(piece).length;
    }
    expect(read + reader.end().length).toBe(0);
  });
});

describe('the code in the picture', () => {
  test('comes back, a separation to a tenth of a metre and never surer than it was', () => {
    const separation = fc.option(
      fc.record({
        m: fc.double({ min: 0, max: 50_000, noNaN: true }),
        uM: fc.double({ min: 0, max: 999, noNaN: true }),
      }),
      { nil: undefined },
    );
    fc.assert(
      fc.property(message, separation, (m, where) => {
        const text = pictureText({ ...m, separation: where });
        expect(text).toHaveLength(19);
        const back = pictureMessageOf(text);
        expect(back).toMatchObject(m);
        if (!where) return expect(back?.separation).toBeUndefined();
        expect(Math.abs((back?.separation?.m ?? NaN) - where.m)).toBeLessThanOrEqual(0.05 + 1e-9);
        expect(back?.separation?.uM).toBeGreaterThanOrEqual(where.uM - 1e-9);
      }),
    );
    for (const other of ['', 'https://example.org', 'UB1', 'UB1ZZZ0000000000000', 'ub10000000000000000'])
      expect(pictureMessageOf(other)).toBeUndefined();
    expect(() => pictureText({ tag: 1, sequence: 1, separation: { m: -1, uM: 0 } })).toThrow('-1 m');
  });
});

describe('a beacon as a whole', () => {
  test('names what was lost, how late it is, how clocks drift, and leaves out what cannot have come', () => {
    const lost = new Set([4, 5, 11]);
    const read = [...Array(40).keys()]
      .filter((k) => !lost.has(k))
      .map((k) => ({ tag: 9, sequence: 500 + 25 * k, atS: 0.2 + (50 + 2.5 * k) * (1 + 80e-6) }));
    const wrong = { tag: 9, sequence: 700, atS: 20 };
    const other = { tag: 10, sequence: 3, atS: 30 };
    const track = beaconTrack([...read, wrong, other]);
    expect(track?.tag).toBe(9);
    expect(track?.read).toEqual(read);
    expect(track?.clock?.laterS).toBeCloseTo(0.2, 6);
    expect(track?.clock?.driftPpm).toBeCloseTo(80, 3);
    expect(track?.missing.map((m) => m.sequence)).toEqual([600, 625, 775]);
    expect(track?.missing[0]?.atS).toBeCloseTo(60.2, 1);
    expect(track?.implausible).toEqual([wrong, other]);
    expect(beaconTrack([])).toBeUndefined();
    expect(beaconTrack(read.slice(0, 2))).toMatchObject({ clock: undefined, missing: [] });
  });
});

describe('the moving edge', () => {
  const [WIDE, HIGH] = [640, 480];
  /** A frame with the corner of a code, its strip and an edge, turned, blurred and noisy, in a grey surrounding. */
  const drawn = (
    { edge, px, turn, noise, blur }: { edge: number; px: number; turn: number; noise: number; blur: number },
    seed: string,
  ): { readonly grey: (x: number, y: number) => number | undefined; readonly corners: CodeCorners } => {
    const random = seeded(seed);
    const [across, down] = [
      { x: px * Math.cos(turn), y: px * Math.sin(turn) },
      { x: -px * Math.sin(turn), y: px * Math.cos(turn) },
    ];
    const from: Dot = { x: 130, y: 90 };
    const to = (u: number, v: number): Dot => ({
      x: from.x + across.x * u + down.x * v,
      y: from.y + across.y * u + down.y * v,
    });
    const { left, width, top, height } = EDGE_STRIP;
    const grey = (x: number, y: number): number | undefined => {
      if (x < 0 || y < 0 || x >= WIDE || y >= HIGH) return undefined;
      const [dx, dy] = [x - from.x, y - from.y];
      const u = (dx * across.x + dy * across.y) / px ** 2;
      const v = (dx * down.x + dy * down.y) / px ** 2;
      const black = u >= left && u < left + width;
      const ahead = (top + edge * height - v) / Math.max(blur, 1e-6);
      const share = black
        ? Math.max(0, Math.min(1, 0.5 + ahead))
        : v >= 0 && v < 1 && u >= 0 && u < 7
          ? 1
          : 0;
      return 220 - 180 * share + noise * random.normal();
    };
    return {
      grey,
      corners: { topLeft: to(0, 0), topRight: to(CODE_MODULES, 0), bottomLeft: to(0, CODE_MODULES) },
    };
  };
  const frame = fc.record({
    edge: fc.double({ min: 0.06, max: 0.94, noNaN: true }),
    px: fc.double({ min: 5, max: 11, noNaN: true }),
    turn: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
    noise: fc.double({ min: 0, max: 20, noNaN: true }),
    blur: fc.double({ min: 0, max: 1, noNaN: true }),
  });

  test('is found to a few hundredths of a second in a code turned, blurred by its own motion, and noisy', () => {
    fc.assert(
      fc.property(frame, fc.nat(1000), (f, seed) => {
        const { grey, corners } = drawn(f, `edge${seed}`);
        expect(Math.abs((edgeIn(grey, corners) ?? NaN) - f.edge)).toBeLessThan(0.01);
      }),
      { numRuns: 60 },
    );
  });

  test('where there is none, at the end of its way and beyond the frame nothing is told', () => {
    const f = { edge: 0.5, px: 9, turn: 0, noise: 5, blur: 0.2 };
    const { grey, corners } = drawn(f, 'none');
    expect(edgeIn(() => 128, corners)).toBeUndefined();
    expect(edgeIn((x, y) => (x > 370 ? 30 + ((x * y) % 190) : grey(x, y)), corners)).toBeUndefined();
    expect(edgeIn((x, y) => (x > 380 ? undefined : grey(x, y)), corners)).toBeUndefined();
    for (const edge of [0.002, 0.998]) {
      const end = drawn({ ...f, edge }, 'end');
      expect(edgeIn(end.grey, end.corners)).toBeUndefined();
    }
  });

  test('with its code it tells when a frame was sent, across the second too; one that disagrees tells nothing', () => {
    expect(sentBy(0.13, 41, 0.2)).toBeCloseTo(41.13, 9);
    expect(sentBy(0.98, 41, 0.2)).toBeCloseTo(40.98, 9);
    expect(sentBy(0.05, 40.8, 0.2)).toBeCloseTo(41.05, 9);
    expect(sentBy(0.5, 41, 0.2)).toBeUndefined();
  });

  test(
    'codes arrive to a part of a frame by it, however late the link is, and a picture that stands ' +
      'changes nothing',
    () => {
      fc.assert(
        fc.property(
          fc.double({ min: 0, max: 0.9, noNaN: true }),
          fc.integer({ min: 24, max: 60 }),
          (lateS, fps) => {
            const codes = new SeenCodes();
            const text = (sequence: number): string =>
              pictureText({ tag: 7, sequence, separation: undefined });
            let held: readonly [string, number] | undefined;
            for (let n = 0; n < 12 * fps; n++) {
              const [atS, sentS] = [n / fps, n / fps - lateS];
              if (sentS < 0) continue;
              // From the fifth second on the picture stands for two.
              const now = [text(2 * Math.floor(sentS / 0.2 + 1e-9)), sentS % 1] as const;
              if (atS < 5 || atS >= 7) held = now;
              const [shown, edge] = held ?? now;
              codes.push(shown, atS, edge > 0.02 && edge < 0.98 ? edge : undefined);
            }
            const track = beaconTrack(codes.seen);
            expect(Math.abs((track?.clock?.laterS ?? NaN) - lateS)).toBeLessThan(0.002);
            for (const { sequence, arrivedS = NaN, frames } of codes.seen)
              if (frames > 1 && frames < fps)
                expect(Math.abs(arrivedS - 0.1 * sequence - lateS)).toBeLessThan(0.002);
          },
        ),
        { numRuns: 40 },
      );
    },
  );
});

describe('codes that are read while one watches', () => {
  const HELD_S = 0.2;
  /** What a page reads of a picture that comes late: looked at so often, frozen within the loss. */
  const watched = (
    seconds: number,
    { lateS, edge, everyS = 0.08, tag = 7 }: { lateS: number; edge: boolean; everyS?: number; tag?: number },
    lost: (s: number) => 'frozen' | 'blank' | undefined = () => undefined,
  ) => {
    const codes = new LiveCodes(7);
    const [told, unread]: [CodesTold[], number[]] = [[], []];
    let stands: readonly [string, number] | undefined;
    for (let atS = lateS + 1; atS < seconds; atS += everyS) {
      const sentS = atS - lateS;
      const sequence = 2 * Math.floor(sentS / HELD_S + 1e-9);
      const separation = { m: Math.round(10 * sentS) / 10, uM: 1 };
      const now = [pictureText({ tag, sequence, separation }), sentS % 1] as const;
      const how = lost(atS);
      if (how !== 'frozen') stands = now;
      const [text, down] = stands ?? now;
      const seen = edge && down > 0.02 && down < 0.98 ? down : undefined;
      const t = codes.push(how === 'blank' ? undefined : text, atS, seen);
      if (t) told.push(t);
      const u = codes.unread(atS);
      if (u) unread.push(u.fromS);
    }
    return { told, unread, codes };
  };

  test('say every two seconds how late they are and how far away: by the edge to 2 ms, without to a code', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        fc.double({ min: 0.03, max: 0.12, noNaN: true }),
        fc.boolean(),
        (lateS, everyS, edge) => {
          const { told, unread } = watched(20, { lateS, everyS, edge });
          expect(told.length).toBeGreaterThanOrEqual(7);
          expect(unread).toEqual([]);
          for (const t of told) {
            expect(Math.abs(t.atS - t.sentS - lateS)).toBeLessThan(edge ? 0.002 : HELD_S / 2 + 1e-9);
            expect(t.uS).toBeCloseTo(edge ? 0.002 : HELD_S / Math.sqrt(12), 6);
            expect(t.codes).toBeGreaterThan(5);
            expect(Math.abs((t.separation?.m ?? NaN) - t.sentS)).toBeLessThan(0.2);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  test('that stand or are hidden are told once as unread, and what stands is not told again as read', () => {
    for (const how of ['frozen', 'blank'] as const) {
      const { told, unread } = watched(30, { lateS: 0.1, edge: true }, (s) =>
        s >= 10 && s < 20 ? how : undefined,
      );
      expect(unread).toHaveLength(1);
      expect(Math.abs((unread[0] ?? NaN) - 10)).toBeLessThan(0.4);
      expect(told.filter((t) => t.atS > 10.4 && t.atS < 20)).toEqual([]);
      for (const t of told) expect(Math.abs(t.atS - t.sentS - 0.1)).toBeLessThan(0.002);
    }
  });

  test('of a sender whose clock was set back go on being read', () => {
    const codes = new LiveCodes(7);
    const told: CodesTold[] = [];
    for (let atS = 100; atS < 120; atS += 0.1) {
      const sentS = atS - (atS < 110 ? 0.1 : 60);
      const sequence = 2 * Math.floor(sentS / HELD_S + 1e-9);
      const t = codes.push(pictureText({ tag: 7, sequence, separation: undefined }), atS, undefined);
      if (t) told.push(t);
    }
    expect(told.filter((t) => t.atS > 113 && Math.abs(t.atS - t.sentS - 60) < HELD_S).length).toBeGreaterThan(
      1,
    );
  });

  test('of another walk are counted and say nothing; a page that looked away has missed none', () => {
    const { told, codes } = watched(10, { lateS: 0.1, edge: true, tag: 8 });
    expect(told).toEqual([]);
    expect(codes.ofOthers).toBeGreaterThan(100);
    expect(watched(20, { lateS: 0.1, edge: true, everyS: 1.7 }).unread).toEqual([]);
  });
});

describe('packets that are heard while one listens', () => {
  /** Packets as the reader tells them: each when it was heard, in order, some of them lost. */
  const listened = (seconds: number, lateS: number, lost: (s: number) => boolean = () => false, tag = 7) => {
    const packets = new LivePackets(7);
    const [told, unread]: [CodesTold[], number[]] = [[], []];
    for (let tenth = 0; tenth < 10 * seconds; tenth++) {
      const heardS = tenth / 10;
      const sequence = tenth - 30;
      if (sequence >= 0 && sequence % (10 * PACKET_EVERY_S) === 0 && !lost(sequence / 10)) {
        const atS = sequence / 10 + lateS;
        const t = packets.push({ tag, sequence, atS, likeness: 0.9, bytes: 11 });
        if (t) told.push(t);
      }
      const u = packets.unread(heardS);
      if (u) unread.push(u.fromS);
    }
    return { told, unread, packets };
  };

  test('tell each when it was sent; one that drowned is no loss, and those that stay away are noted once', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.integer({ min: 2, max: 20 }), (lateS, k) => {
        const { told, unread } = listened(60, lateS, (s) => s === k * PACKET_EVERY_S);
        expect(unread).toEqual([]);
        expect(told).toHaveLength(22);
        for (const t of told) {
          expect(t.carriedBy).toBe('sound');
          expect(t.atS - t.sentS).toBeCloseTo(lateS, 9);
          expect(t.uS).toBeLessThan(0.01);
        }
        const away = listened(60, lateS, (s) => s >= 20 && s < 40);
        expect(away.unread).toHaveLength(1);
        expect(away.unread[0]).toBeCloseTo(20 + lateS, 6);
      }),
      { numRuns: 30 },
    );
  });

  test('between noise, as Urvek plays them, are no losses; losses in noise and in a packet are found', () => {
    const random = seeded('packets and noise');
    const [seconds, lost] = [
      60,
      [
        [31, 31.3],
        [42.2, 42.4],
        [55.1, 56.2],
      ] as const,
    ];
    const sound = Float32Array.from({ length: seconds * CHIRP_RATE_HZ }, () => 0.1 * random.normal());
    for (let s = 0; s + PACKET_EVERY_S <= seconds; s += PACKET_EVERY_S) {
      const packet = packetOf({ tag: 7, sequence: 10 * s });
      sound.set(
        packet.map((x) => 0.1 * Math.SQRT2 * x),
        s * CHIRP_RATE_HZ,
      );
    }
    for (const [fromS, toS] of lost) sound.fill(0.0005, fromS * CHIRP_RATE_HZ, toS * CHIRP_RATE_HZ);
    const live = new LiveLoss(CHIRP_RATE_HZ, 'noise', { loss: { leastS: 0.05 } });
    const changes = [];
    for (let i = 0; i < sound.length; i += 170) changes.push(...live.push(sound.subarray(i, i + 170)));
    expect(changes.map((c) => c.kind)).toEqual(lost.flatMap(() => ['lost', 'back']));
    changes.forEach((c, i) => expect(Math.abs(c.atS - (lost.flat()[i] as number))).toBeLessThan(0.01));
  });

  test('of another walk are counted and say nothing; before the first, nothing is missed', () => {
    const { told, unread, packets } = listened(30, 0.1, undefined, 8);
    expect([told, unread]).toEqual([[], []]);
    expect(packets.ofOthers).toBe(11);
  });
});

describe('codes that were not read', () => {
  const FPS = 25;
  /** A code every fifth of a second; within a loss the picture is blank, or shows what it showed before. */
  const filmed = (seconds: number, losses: readonly { fromS: number; toS: number; frozen: boolean }[]) => {
    const codes = new SeenCodes();
    const textAt = (s: number): string =>
      pictureText({ tag: 7, sequence: 2 * Math.floor(5 * s + 1e-9), separation: undefined });
    for (let n = 0; n < seconds * FPS; n++) {
      const s = n / FPS;
      const loss = losses.find((l) => s >= l.fromS && s < l.toS);
      codes.push(loss ? (loss.frozen ? textAt(loss.fromS - 1 / FPS) : undefined) : textAt(s), s);
    }
    return codes.seen;
  };

  test('are losses of the link, blank or frozen, placed to a code; a code passed over by itself is none', () => {
    const loss = fc.record({
      lasts: fc.double({ min: 0.65, max: 4, noNaN: true }),
      frozen: fc.boolean(),
      apart: fc.double({ min: 1, max: 5, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(loss, { maxLength: 4 }), (parts) => {
        let atS = 2;
        const losses = parts.map(({ lasts, frozen, apart }) => {
          const fromS = atS + apart;
          atS = fromS + lasts;
          return { fromS, toS: atS, frozen };
        });
        const seen = filmed(atS + 3, losses);
        const found = beaconLosses({ read: seen }, atS + 3);
        expect(found).toHaveLength(losses.length);
        found.forEach((f, i) => {
          const { fromS, toS } = losses[i] as (typeof losses)[number];
          expect(f).toMatchObject({ kind: 'beacon unread', open: false });
          expect(Math.abs(f.fromS - fromS)).toBeLessThan(0.2 + 1.5 / FPS);
          expect(Math.abs(f.toS - toS)).toBeLessThan(0.2 + 1.5 / FPS);
        });
      }),
      { numRuns: 60 },
    );
    const all = filmed(10, []);
    expect(beaconLosses({ read: all }, 10)).toEqual([]);
    expect(beaconLosses({ read: all.filter((_, i) => i % 7 !== 3) }, 10)).toEqual([]);
  });

  test('to the end of the recording they are open; of one code nothing is told', () => {
    expect(beaconLosses({ read: filmed(5, []) }, 8)).toMatchObject([{ open: true, toS: 8 }]);
    expect(beaconLosses({ read: filmed(0.1, []) }, 8)).toEqual([]);
  });
});
