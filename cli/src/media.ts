import { spawn } from 'node:child_process';
import { BadInput } from './badInput.ts';

/** What a recording holds, as ffprobe says it. */
export interface Media {
  /** `beginsS`: its first sample, s after the recording begins. */
  readonly sound:
    { readonly rateHz: number; readonly channels: number; readonly beginsS: number } | undefined;
  readonly picture: boolean;
}

const FFPROBE = 'ffprobe';
const FFMPEG = 'ffmpeg';
const STREAM = 'stream=codec_type,sample_rate,channels,start_time';

const missing = (tool: string): BadInput =>
  new BadInput(`${tool} is not installed; it decodes recordings: apt-get install ffmpeg`);

/** @throws BadInput where it cannot be read, or ffmpeg is not there */
export async function probeMedia(file: string): Promise<Media> {
  const asked = ['-of', 'json', '-show_entries', `${STREAM}:format=start_time`, '--', file];
  const told = await textOf(file, ['-v', 'error', ...asked]);
  const { streams, format } = JSON.parse(told) as {
    streams: { codec_type: string; sample_rate?: string; channels?: number; start_time?: string }[];
    format: { start_time?: string };
  };
  const sound = streams.find((s) => s.codec_type === 'audio');
  const picture = streams.some((s) => s.codec_type === 'video');
  if (!sound && !picture) throw new BadInput(`${file}: holds neither sound nor picture`);
  return {
    sound: sound && {
      rateHz: Number(sound.sample_rate),
      channels: sound.channels ?? 1,
      beginsS: Number(sound.start_time ?? 0) - Number(format.start_time ?? 0),
    },
    picture,
  };
}

/** When each frame is shown, s from the beginning, in the order in which they are shown. @throws BadInput */
async function frameTimes(file: string): Promise<number[]> {
  const entries = 'packet=pts_time:format=start_time';
  const asked = ['-of', 'csv', '-select_streams', 'v:0', '-show_entries', entries, '--', file];
  const text = await textOf(file, ['-v', 'error', ...asked]);
  const secondsOf = (section: string): number[] =>
    text
      .split('\n')
      .filter((line) => line.startsWith(`${section},`))
      .map((line) => Number.parseFloat(line.slice(section.length + 1)))
      .filter((s) => Number.isFinite(s));
  const [beginsS = 0] = secondsOf('format');
  return secondsOf('packet')
    .map((s) => s - beginsS)
    .sort((a, b) => a - b);
}

/** What ffprobe tells of a file. @throws BadInput with what it said */
async function textOf(file: string, args: readonly string[]): Promise<string> {
  const pieces: Buffer[] = [];
  for await (const piece of written(FFPROBE, file, args)) pieces.push(piece);
  return Buffer.concat(pieces).toString();
}

/** What ffmpeg writes for these arguments, piece by piece. @throws BadInput with what it said */
export const decoded = (file: string, args: readonly string[]): AsyncGenerator<Buffer> =>
  written(FFMPEG, file, ['-v', 'error', '-nostdin', '-i', file, ...args, 'pipe:1']);

/** What one of ffmpeg's programs writes of a file, piece by piece. @throws BadInput with what it said */
async function* written(tool: string, file: string, args: readonly string[]): AsyncGenerator<Buffer> {
  const child = spawn(tool, args, { stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  child.stderr.setEncoding('utf8').on('data', (text: string) => (said += text));
  const ended = new Promise<number | null>((resolve, reject) => {
    child.on('error', () => reject(missing(tool)));
    child.on('close', resolve);
  });
  ended.catch(() => undefined);
  yield* child.stdout as AsyncIterable<Buffer>;
  if ((await ended) === 0) return;
  const why = said.trim().split('\n').at(-1)?.replace(`${file}: `, '');
  throw new BadInput(`${file}: ${why || 'cannot be decoded'}`);
}

/** Sound as samples of each channel, in pieces. */
export async function* soundOf(
  file: string,
  { rateHz, channels }: Omit<NonNullable<Media['sound']>, 'beginsS'>,
): AsyncGenerator<Float32Array[]> {
  const frame = 4 * channels;
  let left: Buffer = Buffer.alloc(0);
  for await (const piece of decoded(file, [
    ...['-map', '0:a:0', '-f', 'f32le', '-ac', String(channels), '-ar', String(rateHz)],
  ])) {
    const all = left.length === 0 ? piece : Buffer.concat([left, piece]);
    const frames = Math.floor(all.length / frame);
    left = all.subarray(frames * frame);
    // A view wants its bytes aligned: a copy is, and is cheap beside decoding.
    const samples = new Float32Array(all.buffer.slice(all.byteOffset, all.byteOffset + frames * frame));
    yield channels === 1 ? [samples] : parted(samples, channels);
  }
}

/** Samples of channels one after the other, each channel for itself. */
function parted(samples: Float32Array, channels: number): Float32Array[] {
  const frames = samples.length / channels;
  return Array.from({ length: channels }, (_, c) => {
    const own = new Float32Array(frames);
    for (let i = 0; i < frames; i++) own[i] = samples[i * channels + c] as number;
    return own;
  });
}

/** A whole track in one channel. */
export async function trackOf(file: string, rateHz: number): Promise<Float32Array> {
  const pieces: Float32Array[] = [];
  for await (const [mono] of soundOf(file, { rateHz, channels: 1 })) if (mono) pieces.push(mono);
  const whole = new Float32Array(pieces.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
}

/** Grey frames of one size, each with the time at which it is shown, s. `filter` makes them so. @throws BadInput */
export async function* framesOf(
  file: string,
  size: number,
  filter: string,
): AsyncGenerator<{ readonly grey: Uint8Array; readonly atS: number }> {
  // Beside the decoding, which takes longer.
  const known = frameTimes(file);
  known.catch(() => undefined);
  let left: Buffer = Buffer.alloc(0);
  let frame = 0;
  for await (const piece of decoded(file, [
    ...['-map', '0:v:0', '-vf', `${filter},format=gray`, '-fps_mode', 'passthrough', '-f', 'rawvideo'],
  ])) {
    const all = left.length === 0 ? piece : Buffer.concat([left, piece]);
    const times = await known;
    let at = 0;
    for (; at + size <= all.length; at += size) {
      const atS = times[frame++];
      if (atS !== undefined) yield { grey: all.subarray(at, at + size), atS };
    }
    left = all.subarray(at);
  }
}
