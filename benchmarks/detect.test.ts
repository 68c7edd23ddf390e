import { afterAll, expect, test } from '@jest/globals';
import { greyOfLuma, isUpright, LOOKED_AT, seeded, turned } from '@urvek/core';
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  BY_HAND,
  ffmpeg,
  gapsIn,
  noiseOf,
  scoreOf,
  toneWithJumps,
  writeFilm,
  writeWav,
} from './recordings.ts';

// The short form of npm run bench:detect: the command line on recordings of known truth, decoded by Debian's ffmpeg.

const folder = mkdtempSync(join(tmpdir(), 'urvek-detect-'));
const urvek = fileURLToPath(new URL('../bin/urvek', import.meta.url));
const hasFfmpeg = existsSync('/usr/bin/ffmpeg');
afterAll(() => rmSync(folder, { recursive: true }));

interface Printed {
  readonly duration_s: number;
  readonly kind: string;
  readonly dropouts: readonly { readonly from_s: number; readonly to_s: number; readonly kind: string }[];
  readonly artefacts: readonly { readonly from_s: number; readonly to_s: number; readonly kind: string }[];
  readonly delay_s: number | null;
  readonly drift_ppm: number | null;
  readonly notes: readonly string[];
}
const detected = (...args: string[]): Printed =>
  JSON.parse(execFileSync(urvek, ['detect', ...args, '--json'], { encoding: 'utf8' })) as Printed;
const gapsOf = ({ dropouts }: Printed) => dropouts.map((d) => ({ fromS: d.from_s, toS: d.to_s }));

if (!hasFfmpeg) process.stdout.write('not run: detection in files needs ffmpeg\n');
(hasFfmpeg ? test : test.skip)(
  'gaps in noise behind a codec, to 8 ms; frames that a tone lost; freezes of a film, to a frame',
  () => {
    const gaps = gapsIn(seeded('short'), 12);
    const [wav, opus, film] = ['n.wav', 'n.mka', 'f.mp4'].map((n) => join(folder, n)) as [
      string,
      string,
      string,
    ];
    writeWav(wav, noiseOf('short', 12, gaps));
    ffmpeg('-i', wav, '-c:a', 'libopus', '-b:a', '32k', opus);
    const heard = detected(opus, '--reference', wav, '--signal', 'noise');
    expect(scoreOf(gaps, gapsOf(heard), 0.008)).toMatchObject({ found: gaps.length, beside: 0 });
    expect(heard).toMatchObject({ kind: 'sound', duration_s: expect.closeTo(12, 1) });
    // One machine and one clock: no drift, and next to no delay.
    expect(Math.abs(heard.delay_s ?? 1)).toBeLessThan(0.01);
    expect(Math.abs(heard.drift_ppm ?? 99)).toBeLessThan(5);

    const { sound, jumps } = toneWithJumps('short', 12);
    writeWav(wav, sound);
    ffmpeg('-y', '-i', wav, '-c:a', 'libopus', '-b:a', '32k', opus);
    const { dropouts, artefacts } = detected(opus, '--signal', 'tone');
    const jumped = artefacts.filter((a) => a.kind === 'time jump');
    expect(dropouts).toEqual([]);
    expect(
      scoreOf(
        jumps,
        jumped.map((j) => ({ fromS: j.from_s, toS: j.to_s })),
        0.02,
      ),
    ).toMatchObject({ found: jumps.length, beside: 0 });

    const frozen = [
      { fromS: 2, toS: 2.4 },
      { fromS: 4, toS: 4.2 },
    ];
    writeFilm(film, { source: 'testsrc2', seconds: 6, gaps: frozen, mbps: 0.5, noise: 8, size: [320, 180] });
    const seen = detected(film);
    expect(scoreOf(frozen, gapsOf(seen), 0.041)).toMatchObject({ found: 2, beside: 0 });
    expect(seen.kind).toBe('picture');
  },
  60_000,
);

(hasFfmpeg ? test : test.skip)(
  'a film by hand, whose camera turns, rests and shakes: its freezes, to a frame; where it rests, next to nothing',
  () => {
    const film = join(folder, 'hand.mp4');
    const hand = { ...BY_HAND, seconds: 20, mbps: 3, noise: 6, size: [320, 180] } as const;
    const frozen = [5.2, 10, 14.4].map((fromS) => ({ fromS, toS: fromS + 0.8 }));
    // A codec leaves a picture that rests as it was for some frames: then it stood, however little was missed.
    for (const gaps of [frozen, []]) {
      writeFilm(film, { ...hand, gaps });
      const told = gapsOf(detected(film));
      expect(scoreOf(gaps, told, 0.041).found).toBe(gaps.length);
      const besides = told.filter((t) => !gaps.some((g) => t.toS > g.fromS && t.fromS < g.toS));
      expect(besides.reduce((sum, { fromS, toS }) => sum + toS - fromS, 0)).toBeLessThan(0.03 * 20);
    }
  },
  60_000,
);

// Cameras begin their sound after their picture, and transport streams begin at any time.
(hasFfmpeg ? test.each : test.skip.each)(['mp4', 'mkv', 'ts'])(
  'sound that begins 0.75 s after its picture is placed by the film: %s',
  (form) => {
    const [wav, film] = [join(folder, `late.${form}.wav`), join(folder, `late.${form}`)];
    const gap = { fromS: 2, toS: 2.4 };
    writeWav(wav, noiseOf('late', 5, [gap]));
    ffmpeg(
      ...['-f', 'lavfi', '-i', 'testsrc2=s=320x180:r=25:d=6', '-itsoffset', '0.75', '-i', wav],
      ...['-c:v', 'libx264', '-c:a', 'aac', '-b:a', '96k', film],
    );
    const [lost] = gapsOf(detected(film, '--signal', 'noise'));
    expect(Math.abs((lost?.fromS ?? 0) - (0.75 + gap.fromS))).toBeLessThan(0.008);
  },
  60_000,
);

// A phone trims a film without encoding it anew: the frames before stay in the file, and are not shown. A stream that
// one joins begins amid its frames, and those up to the next key frame cannot be decoded.
(hasFfmpeg ? test : test.skip)(
  'a freeze is placed by the frames that are shown, in a trimmed film and in a stream that was joined',
  () => {
    const [film, trimmed, stream, joined] = ['w.mp4', 't.mp4', 'w.ts', 'j.ts'].map((n) =>
      join(folder, n),
    ) as [string, string, string, string];
    writeFilm(film, {
      ...{ source: 'testsrc2', seconds: 6, mbps: 1, noise: 4, size: [320, 180] },
      gaps: [{ fromS: 4, toS: 4.4 }],
    });
    const frozenFrom = (file: string): number => gapsOf(detected(file))[0]?.fromS ?? NaN;
    ffmpeg('-ss', '1.3', '-i', film, '-c', 'copy', trimmed);
    expect(frozenFrom(trimmed)).toBeCloseTo(4 - 1.3, 1);
    ffmpeg('-i', film, '-c:v', 'libx264', '-g', '25', '-f', 'mpegts', stream);
    const bytes = readFileSync(stream);
    // Packets of a transport stream are 188 bytes; which frame is the first shows in its own clock.
    writeFileSync(joined, bytes.subarray(188 * Math.floor(bytes.length / 8 / 188)));
    const startS = (file: string): number =>
      Number(
        execFileSync('ffprobe', [
          '-v',
          'quiet',
          '-of',
          'csv=p=0',
          '-show_entries',
          'format=start_time',
          file,
        ]),
      );
    expect(startS(joined)).toBeGreaterThan(startS(stream) + 0.1);
    expect(frozenFrom(joined)).toBeCloseTo(4 + startS(stream) - startS(joined), 1);
  },
  60_000,
);

(hasFfmpeg ? test : test.skip)(
  'the cover of a recorder’s sound is no film; a picture alone is no recording',
  () => {
    const [wav, cover, covered] = ['c.wav', 'c.png', 'c.m4a'].map((n) => join(folder, n)) as [
      string,
      string,
      string,
    ];
    writeWav(wav, noiseOf('cover', 3, []));
    ffmpeg('-f', 'lavfi', '-i', 'color=red:s=320x320', '-frames:v', '1', cover);
    ffmpeg(
      ...['-i', wav, '-i', cover, '-map', '0', '-map', '1'],
      ...['-c:a', 'aac', '-c:v', 'mjpeg', '-disposition:v', 'attached_pic', covered],
    );
    expect(detected(covered)).toMatchObject({ kind: 'sound', dropouts: [], artefacts: [] });
    const { status, stderr } = spawnSync(urvek, ['detect', cover], { encoding: 'utf8' });
    expect([status, stderr]).toEqual([2, expect.stringContaining('is a single picture')]);
  },
  60_000,
);

(hasFfmpeg ? test : test.skip)(
  'of a film whose picture cannot be decoded the sound is looked through, and that is said',
  () => {
    const [wav, film, odd] = [join(folder, 'odd.wav'), join(folder, 'plain.mp4'), join(folder, 'odd.mp4')];
    const gap = { fromS: 1, toS: 1.5 };
    writeWav(wav, noiseOf('odd', 3, [gap]));
    ffmpeg(...['-f', 'lavfi', '-i', 'testsrc2=s=320x180:d=3', '-i', wav, '-c:v', 'libx264', film]);
    const bytes = readFileSync(film);
    bytes.write('none', bytes.lastIndexOf('avc1'));
    writeFileSync(odd, bytes);
    const found = detected(odd, '--signal', 'noise');
    expect(found.kind).toBe('sound');
    expect(scoreOf([gap], gapsOf(found), 0.01)).toMatchObject({ found: 1, beside: 0 });
    expect(found.notes).toEqual([
      expect.stringMatching(/^its picture was not looked through \(.*no decoder/),
    ]);
    const beacon = spawnSync(urvek, ['beacon', odd], { encoding: 'utf8' });
    expect([beacon.status, beacon.stdout]).toEqual([
      0,
      expect.stringMatching(/^No beacon was read\.\nNote: its picture was not looked through \(.*no decoder/),
    ]);
    const mute = join(folder, 'mute.mkv');
    ffmpeg('-i', film, '-c', 'copy', mute);
    const kept = readFileSync(mute);
    kept.write('A_ZZZ', kept.indexOf('A_AAC'));
    writeFileSync(mute, kept);
    expect(detected(mute)).toMatchObject({
      kind: 'picture',
      notes: [expect.stringMatching(/^its sound was not looked through/)],
    });
    // Neither: refused, as before.
    kept.write('V_ZZZZ', kept.indexOf('V_MPEG'));
    writeFileSync(mute, kept);
    const neither = spawnSync(urvek, ['detect', mute], { encoding: 'utf8' });
    expect([neither.status, neither.stdout]).toEqual([2, '']);
    expect(neither.stderr).toContain('no decoder');
  },
  60_000,
);

(hasFfmpeg ? test : test.skip)(
  'what cannot be looked at is refused, with the reason',
  () => {
    const text = join(folder, 'notes.txt');
    writeFileSync(text, 'no recording');
    const refused = (...args: string[]): string => {
      const { status, stderr, stdout } = spawnSync(urvek, ['detect', ...args], { encoding: 'utf8' });
      expect([status, stdout]).toEqual([2, '']);
      return stderr;
    };
    expect(refused(text)).toContain('notes.txt: is no recording that ffmpeg can read');
    const [whole, broken] = [join(folder, 'whole.mp4'), join(folder, 'broken.mp4')];
    writeFileSync(broken, '');
    expect(refused(broken)).toContain('is empty');
    ffmpeg('-f', 'lavfi', '-i', 'testsrc2=s=320x180:d=2', whole);
    writeFileSync(broken, readFileSync(whole).subarray(0, 20_000));
    expect(refused(broken)).toContain('copy it once more');
    expect(refused(text, '--signal', 'music')).toContain('there are noise, tone, unknown, speech');
    expect(refused(text, '--signal', 'speech')).toContain('--reference FILE');
  },
  60_000,
);

// The browser averages what its decoder gives it; ffmpeg's own area scaler is what the command line looks through.
(hasFfmpeg ? test : test.skip)(
  'the browser and the command line look at the same frames, to one step of 255',
  () => {
    const { width: across, height: down } = LOOKED_AT;
    // The last as a phone that is held upright writes them.
    for (const [width, height, turn, shown] of [
      [1280, 720, 0, 'null'],
      [854, 480, 180, 'hflip,vflip'],
      [360, 640, 270, 'transpose=cclock'],
      [1280, 720, 90, 'transpose=clock'],
    ] as const) {
      const raw = join(folder, 'frames.yuv');
      const form = ['-f', 'rawvideo', '-pix_fmt', 'yuv420p', '-s', `${width}x${height}`];
      const source = `testsrc2=s=${width}x${height}:d=0.2`;
      ffmpeg('-f', 'lavfi', '-i', source, '-vf', 'noise=alls=20:allf=t', ...form, raw);
      const scaled = execFileSync(
        'ffmpeg',
        [
          ...[
            '-v',
            'error',
            ...form,
            '-i',
            raw,
            '-vf',
            `${shown},scale=${across}:${down}:flags=area,format=gray`,
          ],
          ...['-f', 'rawvideo', '-'],
        ],
        { maxBuffer: 1 << 28 },
      );
      const bytes = readFileSync(raw);
      const size = bytes.length / 5;
      for (let n = 0; n < 5; n++) {
        const luma = { bytes, offset: n * size, stride: width, width, height, fullRange: false };
        const lying = greyOfLuma(luma, new Uint8Array(across * down), isUpright(turn) ? down : across);
        const grey = turned(lying, new Uint8Array(across * down), across, turn);
        const off = grey.map((g, i) => Math.abs(g - (scaled[n * grey.length + i] as number)));
        expect(Math.max(...off)).toBeLessThanOrEqual(1);
      }
    }
  },
  60_000,
);
