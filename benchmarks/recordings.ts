import { PILOT_HZ, PILOT_PART, seeded, TONE_HZ, type Random } from '@urvek/core';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';

// Recordings of known truth, made here: noise with gaps, speech with gaps, films that freeze.

export interface Gap {
  readonly fromS: number;
  readonly toS: number;
}

/** Gaps of `leastS` to fifty times as long, at least half a second apart. */
export function gapsIn(random: Random, seconds: number, leastS = 0.02): Gap[] {
  const gaps: Gap[] = [];
  for (let s = 1; s < seconds - 2;) {
    const toS = s + leastS * 50 ** random.uniform();
    gaps.push({ fromS: s, toS });
    s = toS + 0.5 + random.uniform();
  }
  return gaps;
}

/** Noise of a tenth of full scale, swelling by so many dB; in the gaps so much of it is left. */
export function noiseOf(
  seed: string,
  seconds: number,
  gaps: readonly Gap[],
  { rateHz = 48_000, leftDb = -Infinity, swellDb = 0 } = {},
): Float32Array {
  const random = seeded(seed);
  const sound = new Float32Array(seconds * rateHz);
  let next = 0;
  for (let i = 0; i < sound.length; i++) {
    const s = i / rateHz;
    while (gaps[next] && s >= (gaps[next] as Gap).toS) next++;
    const gap = gaps[next];
    const left = gap && s >= gap.fromS ? 10 ** (leftDb / 20) : 1;
    sound[i] = 0.1 * random.normal() * 10 ** ((swellDb * Math.sin((2 * Math.PI * s) / 7)) / 20) * left;
  }
  return sound;
}

/** Frames that codecs and links lose as a whole, ms. */
const FRAMES_MS = [2.5, 5, 7.5, 10, 20, 40, 60];

/**
 * The tone that Urvek plays, with its pilot and noise 40 dB below. Every two seconds or so a frame was left out, or
 * played twice; what is told of it is when.
 */
export function toneWithJumps(
  seed: string,
  seconds: number,
  rateHz = 48_000,
): { readonly sound: Float32Array; readonly jumps: readonly Gap[] } {
  const random = seeded(seed);
  const jumps: Gap[] = [];
  for (let s = 4; s < seconds - 2; s += 2 + 0.5 * random.uniform()) jumps.push({ fromS: s, toS: s });
  let [ahead, next] = [0, 0];
  const sound = Float32Array.from({ length: seconds * rateHz }, (_, i) => {
    if (i / rateHz >= (jumps[next]?.fromS ?? Infinity)) {
      const ms = FRAMES_MS[next % FRAMES_MS.length] as number;
      ahead += (next++ % 2 === 0 ? 1 : -1) * (ms / 1000);
    }
    const wave = (hz: number): number => Math.sin(2 * Math.PI * hz * (i / rateHz + ahead));
    return 0.14 * (wave(TONE_HZ) + PILOT_PART * wave(PILOT_HZ)) + 0.001 * random.normal();
  });
  return { sound, jumps };
}

/** A WAV file of 16 bits, one channel. */
export function writeWav(file: string, sound: Float32Array, rateHz = 48_000): void {
  const head = Buffer.alloc(44);
  head.write('RIFF', 0);
  head.writeUInt32LE(36 + 2 * sound.length, 4);
  head.write('WAVEfmt ', 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(1, 22);
  head.writeUInt32LE(rateHz, 24);
  head.writeUInt32LE(2 * rateHz, 28);
  head.writeUInt16LE(2, 32);
  head.writeUInt16LE(16, 34);
  head.write('data', 36);
  head.writeUInt32LE(2 * sound.length, 40);
  const samples = Int16Array.from(sound, (x) => Math.round(32_767 * Math.max(-1, Math.min(1, x))));
  writeFileSync(file, Buffer.concat([head, Buffer.from(samples.buffer)]));
}

export const ffmpeg = (...args: string[]): void =>
  void execFileSync('ffmpeg', ['-v', 'error', '-nostdin', '-y', ...args], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });

/**
 * One frame of a pattern, filmed by a camera that turns to and fro and rests between, held by hand or on a tripod: a
 * source of pictures and what is done to them.
 */
const still = (source: string, turn: string): { readonly source: string; readonly camera: string } => ({
  source,
  camera:
    'noise=alls=30:allf=0,trim=end_frame=1,format=yuv420p,loop=loop=-1:size=1,setpts=N/25/TB,' +
    `rotate=a='${turn}':ow=iw/2:oh=ih/2,`,
});
const TO_AND_FRO = '0.3*pow(sin(0.7*t),3)';
export const ON_A_TRIPOD = still('mandelbrot', TO_AND_FRO);
export const BY_HAND = still('mandelbrot', `${TO_AND_FRO}+0.006*sin(9*t)+0.004*sin(14.3*t)+0.003*sin(23*t)`);
export const BY_ANOTHER_HAND = still(
  'testsrc2',
  '0.2*sin(0.45*t)+0.01*sin(6.1*t)+0.006*sin(11*t)+0.002*sin(31*t)',
);

/**
 * A film at 25 frames a second whose motion, light and sensor noise are made by ffmpeg's own sources, frozen in
 * the gaps, then compressed to so many Mbit/s by H.264.
 */
export function writeFilm(
  file: string,
  {
    source,
    camera = '',
    seconds,
    gaps,
    skipped = [],
    mbps,
    noise,
    size = [1280, 720],
  }: {
    /** One of ffmpeg's sources of pictures, with its options. */
    readonly source: string;
    /** What a camera makes of it, of twice the size. */
    readonly camera?: string;
    readonly seconds: number;
    readonly gaps: readonly Gap[];
    /** Frames that are left out, those after them moved up. */
    readonly skipped?: readonly number[];
    readonly mbps: number;
    /** Strength of sensor noise, 0 to 100. */
    readonly noise: number;
    /** Across and down. */
    readonly size?: readonly [number, number];
  },
): void {
  // Frames of a gap are all the frame before it.
  const held = gaps
    .map(({ fromS, toS }) => `between(n,${Math.round(25 * fromS)},${Math.round(25 * toS) - 1})`)
    .join('+');
  const taken = camera ? size.map((dots) => 2 * dots) : size;
  const grain = noise > 0 ? `noise=alls=${noise}:allf=t,` : '';
  const select = held === '' ? 'null' : `select='not(${held})'`;
  const left =
    skipped.length === 0 ? '' : `select='not(${skipped.map((n) => `eq(n,${n})`).join('+')})',setpts=N/25/TB,`;
  ffmpeg(
    ...[
      '-f',
      'lavfi',
      '-i',
      `${source}${source.includes('=') ? ':' : '='}size=${taken.join('x')}:rate=25`,
      '-t',
      String(seconds),
    ],
    // Dropped frames are shown on by repeating the last one: that is what a frozen picture is.
    ...[
      '-vf',
      `${camera}${grain}${left}${select},fps=25,format=yuv420p`,
      '-c:v',
      'libx264',
      '-preset',
      'veryfast',
    ],
    // On several threads x264 does not write the same twice.
    ...[
      '-threads',
      '1',
      '-b:v',
      `${mbps}M`,
      '-maxrate',
      `${mbps}M`,
      '-bufsize',
      `${mbps}M`,
      '-g',
      '50',
      file,
    ],
  );
}

/** What a decoder does with a part of a picture that it misses, and a receiver with all of it. */
export type Spoilt = 'square in grey' | 'card' | 'torn';

/** Of the height, what is below the line of a tear. */
const LOWER = 'trunc(ih*0.2)*2';

const SPOILT: Readonly<Record<Spoilt, (enabled: string) => string>> = {
  'square in grey': (on) => `drawbox=x=320:y=160:w=320:h=240:color=gray:t=fill:enable='${on}'`,
  card: (on) =>
    `drawbox=x=0:y=0:w=iw:h=ih:color=navy:t=fill:enable='${on}` +
    `',drawbox=x=440:y=300:w=400:h=120:color=white:t=fill:enable='${on}'`,
  torn: (on) =>
    `split[now][was];[was]tpad=start=1:start_mode=clone,crop=iw:${LOWER}:0:ih-${LOWER}` +
    `[late];[now][late]overlay=0:H-h:shortest=1:enable='${on}'`,
};

/**
 * A film whose link lost parts of its pictures in the gaps: what came through is compressed once by the link, spoilt,
 * and once more by whoever recorded it.
 */
export function writeSpoiltFilm(
  file: string,
  how: Spoilt,
  film: Omit<Parameters<typeof writeFilm>[1], 'gaps'> & { readonly gaps: readonly Gap[] },
): void {
  const link = `${file}.link.mp4`;
  writeFilm(link, { ...film, gaps: [] });
  const enabled = film.gaps
    .map(({ fromS, toS }) => `between(n,${Math.round(25 * fromS)},${Math.round(25 * toS) - 1})`)
    .join('+');
  ffmpeg(
    ...['-i', link, '-filter_complex', `${SPOILT[how](enabled)},format=yuv420p`],
    ...['-c:v', 'libx264', '-preset', 'veryfast', '-b:v', '8M', '-g', '50', file],
  );
}

/** Found against the truth: which of the gaps, by onsets within so much, and what was found beside them. */
export function scoreOf(
  gaps: readonly Gap[],
  found: readonly Gap[],
  withinS: number,
): {
  readonly found: number;
  readonly beside: number;
  readonly worstOnsetS: number;
  readonly worstEndS: number;
} {
  const left = [...found];
  let [hits, worstOnsetS, worstEndS] = [0, 0, 0];
  for (const gap of gaps) {
    const i = left.findIndex((f) => Math.abs(f.fromS - gap.fromS) <= withinS);
    const [hit] = i === -1 ? [] : left.splice(i, 1);
    if (!hit) continue;
    hits++;
    worstOnsetS = Math.max(worstOnsetS, Math.abs(hit.fromS - gap.fromS));
    worstEndS = Math.max(worstEndS, Math.abs(hit.toS - gap.toS));
  }
  return { found: hits, beside: left.length, worstOnsetS, worstEndS };
}
