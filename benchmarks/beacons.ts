import {
  BEACON_TICK_S,
  CHIRP_RATE_HZ,
  EDGE_STRIP,
  EDGE_TURN_S,
  packetOf,
  pictureText,
  QUIET_MODULES as QUIET,
  seeded,
} from '@urvek/core';
import { spawn } from 'node:child_process';
import { create } from 'qrcode';

// Beacons of known truth: packets of sound among noise, and a code in the picture of a film.

/** Numbers a step apart, each sent when its number says. */
export const sequencesOf = (count: number, step: number): number[] =>
  Array.from({ length: count }, (_, k) => (k + 1) * step);

/** Sound at 8 kHz: packets of a tenth of full scale, noise so many dB below them over 24 kHz, and so much later. */
export function beaconSound(
  seed: string,
  {
    sequences,
    tag,
    snrDb,
    laterS = 0,
  }: { sequences: readonly number[]; tag: number; snrDb: number; laterS?: number },
): Float32Array {
  const random = seeded(seed);
  const seconds = BEACON_TICK_S * (sequences.at(-1) ?? 0) + laterS + 4;
  const sigma = 0.1 * Math.sqrt(0.5 / 10 ** (snrDb / 10) / 6);
  const sound = Float32Array.from(
    { length: Math.ceil(seconds * CHIRP_RATE_HZ) },
    () => sigma * random.normal(),
  );
  for (const sequence of sequences) {
    const from = Math.round((BEACON_TICK_S * sequence + laterS) * CHIRP_RATE_HZ);
    packetOf({ tag, sequence }).forEach((x, i) => (sound[from + i] = (sound[from + i] as number) + 0.1 * x));
  }
  return sound;
}

/** Frames a second. */
export const FILM_FPS = 30;

/**
 * A film at 30 frames a second with a code of two fifths of its height: each is shown for `held` frames, and the frames
 * within a gap show the one before. Made by ffmpeg, compressed by H.264 to so many Mbit/s.
 */
export async function writeBeaconFilm(
  file: string,
  {
    codes,
    tag,
    held,
    mbps,
    noise,
    separationM,
    shown = () => true,
  }: {
    readonly codes: number;
    readonly tag: number;
    readonly held: number;
    readonly mbps: number;
    readonly noise: number;
    readonly separationM: (sequence: number) => number;
    /** Whether the link lets a code through; a white field stands where it does not. */
    readonly shown?: (code: number) => boolean;
  },
): Promise<void> {
  const tickFrames = FILM_FPS * BEACON_TICK_S;
  const text = (sequence: number): string =>
    pictureText({ tag, sequence, separation: { m: separationM(sequence), uM: 0.4 } });
  const { modules } = create([{ data: text(0), mode: 'alphanumeric' }], {
    version: 2,
    errorCorrectionLevel: 'M',
  });
  const px = Math.ceil((0.4 * 720) / modules.size);
  const [wide, high] = [px * (QUIET + EDGE_STRIP.left + EDGE_STRIP.width), px * EDGE_STRIP.height];
  const child = spawn(
    'ffmpeg',
    [
      ...[
        '-v',
        'error',
        '-y',
        '-f',
        'rawvideo',
        '-pix_fmt',
        'gray',
        '-s',
        `${wide}x${high}`,
        '-r',
        String(FILM_FPS),
      ],
      ...['-i', 'pipe:0', '-f', 'lavfi', '-i', `testsrc2=size=1280x720:rate=${FILM_FPS}`],
      ...['-filter_complex'],
      `[1][0]overlay=480:200:shortest=1,noise=alls=${noise}:allf=t,format=yuv420p`,
      ...['-c:v', 'libx264', '-preset', 'veryfast', '-b:v', `${mbps}M`, '-maxrate', `${mbps}M`],
      ...['-bufsize', `${mbps}M`, '-g', '60', file],
    ],
    { stdio: ['pipe', 'ignore', 'inherit'] },
  );
  const done = new Promise<void>((resolve, reject) => {
    child.on('error', reject);
    child.on('close', (code) => (code === 0 ? resolve() : reject(new Error(`ffmpeg: exit ${code}`))));
  });
  for (let k = 0; k < codes; k++) {
    const { data } = create([{ data: text((k * held) / tickFrames), mode: 'alphanumeric' }], {
      version: 2,
      errorCorrectionLevel: 'M',
    }).modules;
    for (let n = 0; n < held; n++) {
      const frame = Buffer.alloc(wide * high, 255);
      const black = (x: number, y: number, dx: number, dy: number): void => {
        for (let row = y; row < y + dy; row++) frame.fill(0, row * wide + x, row * wide + x + dx);
      };
      for (let y = 0; y < modules.size; y++)
        for (let x = 0; x < modules.size; x++)
          if (shown(k) && data[y * modules.size + x]) black((x + QUIET) * px, (y + QUIET) * px, px, px);
      const edge = (((k * held + n) / FILM_FPS / EDGE_TURN_S) % 1) * high;
      const strip = px * EDGE_STRIP.width;
      if (shown(k)) black(wide - strip, 0, strip, Math.round(edge));
      child.stdin.write(frame);
    }
  }
  child.stdin.end();
  await done;
}
