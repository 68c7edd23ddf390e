import { spawn } from 'node:child_process';
import { statSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { BadInput, isBadInput } from './badInput.ts';

/** What a recording holds, as ffprobe says it. */
export interface Media {
  /** `beginsS`: its first sample, s after the recording begins. */
  readonly sound:
    { readonly rateHz: number; readonly channels: number; readonly beginsS: number } | undefined;
  /** `zeroS`: what the clock of its frames shows when the recording begins, s. */
  readonly picture: { readonly zeroS: number } | undefined;
}

const FFPROBE = 'ffprobe';
const FFMPEG = 'ffmpeg';
const STREAM = 'stream=codec_type,sample_rate,channels,start_time:stream_disposition=attached_pic';

const missing = (tool: string): BadInput =>
  new BadInput(`${tool} is not installed; it decodes recordings: apt-get install ffmpeg`);

/** @throws BadInput where it cannot be read, or ffmpeg is not there */
export async function probeMedia(file: string): Promise<Media> {
  const asked = ['-of', 'json', '-show_entries', `${STREAM}:format=start_time`, '--', file];
  const told = await textOf(file, ['-v', 'error', ...asked]);
  const { streams, format } = JSON.parse(told) as {
    streams: {
      codec_type: string;
      sample_rate?: string;
      channels?: number;
      start_time?: string;
      disposition?: { attached_pic?: number };
    }[];
    format: { start_time?: string };
  };
  const sound = streams.find((s) => s.codec_type === 'audio');
  // The cover of a piece of music is a stream of its own, and no film.
  const picture = streams.some((s) => s.codec_type === 'video' && s.disposition?.attached_pic !== 1);
  const zeroS = Number(format.start_time ?? 0);
  if (!sound && !picture) throw new BadInput(`${file}: holds neither sound nor picture`);
  return {
    sound: sound && {
      // Not said, or 0, of a form that nothing is known of.
      rateHz: Number(sound.sample_rate) || 48_000,
      channels: sound.channels || 1,
      beginsS: Number(sound.start_time ?? 0) - zeroS,
    },
    picture: picture ? { zeroS } : undefined,
  };
}

/**
 * What each track of a recording gave. Where one cannot be decoded, `notes` say so, and the other is told all the same.
 * @throws BadInput where none can be
 */
export async function eachTrack<S, P>(
  sound: Promise<S> | undefined,
  picture: Promise<P> | undefined,
): Promise<{
  readonly sound: S | undefined;
  readonly picture: P | undefined;
  readonly notes: readonly string[];
}> {
  const tracks = await Promise.allSettled([sound, picture]);
  const whyNot = tracks.map((t): unknown => (t.status === 'rejected' ? t.reason : undefined));
  const [heard, seen] = tracks.map((t) => (t.status === 'fulfilled' ? t.value : undefined)) as [
    S | undefined,
    P | undefined,
  ];
  // What is no fault of the file is told as it is.
  const unforeseen = whyNot.find((why) => why !== undefined && !isBadInput(why));
  const worst =
    unforeseen ?? (heard === undefined && seen === undefined ? whyNot.find(isBadInput) : undefined);
  if (worst !== undefined) throw worst as Error;
  const notes = whyNot.flatMap((why, i) =>
    isBadInput(why) ? [`its ${i === 0 ? 'sound' : 'picture'} was not looked through (${why.message})`] : [],
  );
  return { sound: heard, picture: seen, notes };
}

/** What ffprobe tells of a file. @throws BadInput with what it said */
async function textOf(file: string, args: readonly string[]): Promise<string> {
  const pieces: Buffer[] = [];
  for await (const piece of written(FFPROBE, file, args)) pieces.push(piece);
  return Buffer.concat(pieces).toString();
}

/**
 * What one of ffmpeg's programs writes of a file, piece by piece.
 * @param heard each line that it says beside, and at last that there is none any more
 * @throws BadInput with what it said last
 */
async function* written(
  tool: string,
  file: string,
  args: readonly string[],
  heard?: (line: string | undefined) => void,
): AsyncGenerator<Buffer> {
  const child = spawn(tool, args, { stdio: ['ignore', 'pipe', 'pipe'] });
  let said: string[] = [];
  createInterface({ input: child.stderr })
    .on('line', (line) => {
      heard?.(line);
      said = [...said.slice(-LINES_KEPT), line];
    })
    .on('close', () => heard?.(undefined));
  const ended = new Promise<number | null>((resolve, reject) => {
    child.on('error', () => reject(missing(tool)));
    child.on('close', resolve);
  });
  ended.catch(() => undefined);
  yield* child.stdout as AsyncIterable<Buffer>;
  if ((await ended) !== 0) throw new BadInput(`${file}: ${whyNot(file, said)}`);
}

/** Of what a program said, so many lines: the last is of the file as a whole, those before it of the reason. */
const LINES_KEPT = 20;

/** Why a file cannot be decoded, and what to do where that is known. */
function whyNot(file: string, said: readonly string[]): string {
  if (statSync(file, { throwIfNoEntry: false })?.size === 0) return 'is empty: copy it once more';
  // An MP4 or MOV has its index ("moov") at its end, which is written last.
  if (said.some((line) => line.includes('moov atom not found')))
    return (
      'its end is missing, and with it the index of what it holds: copying or recording was broken off; copy it ' +
      'once more, or have the camera that took it repair it'
    );
  if (said.some((line) => line.startsWith('Decoder (codec')))
    return 'is in a form that this ffmpeg has no decoder for';
  const last = said.at(-1)?.trim().replace(`${file}: `, '');
  if (last?.startsWith('Invalid data')) return 'is no recording that ffmpeg can read';
  return !last || last === 'Conversion failed!' ? 'cannot be decoded' : last;
}

/** Sound as samples of each channel, in pieces. */
export async function* soundOf(
  file: string,
  { rateHz, channels }: Omit<NonNullable<Media['sound']>, 'beginsS'>,
): AsyncGenerator<Float32Array[]> {
  const frame = 4 * channels;
  let left: Buffer = Buffer.alloc(0);
  const args = ['-map', '0:a:0', '-f', 'f32le', '-ac', String(channels), '-ar', String(rateHz), 'pipe:1'];
  for await (const piece of written(FFMPEG, file, ['-v', 'error', '-nostdin', '-i', file, ...args])) {
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

/**
 * Grey frames of one size, each with the time at which it is shown, s. `filter` makes them so. The times are those of
 * the frames that are decoded: where a film was trimmed, or begins amid its frames, its packets are more.
 * @throws BadInput
 */
export async function* framesOf(
  file: string,
  { zeroS }: NonNullable<Media['picture']>,
  size: number,
  filter: string,
): AsyncGenerator<{ readonly grey: Uint8Array; readonly atS: number }> {
  const times = new FrameTimes();
  let left: Buffer = Buffer.alloc(0);
  const pieces = written(
    FFMPEG,
    file,
    [
      ...['-hide_banner', '-nostats', '-nostdin', '-copyts', '-i', file, '-map', '0:V:0'],
      ...['-vf', `${filter},showinfo=checksum=0,format=gray`],
      ...['-fps_mode', 'passthrough', '-f', 'rawvideo', 'pipe:1'],
    ],
    (line) => times.hear(line),
  );
  for await (const piece of pieces) {
    const all = left.length === 0 ? piece : Buffer.concat([left, piece]);
    let at = 0;
    for (; at + size <= all.length; at += size) {
      const atS = await times.next();
      if (atS !== undefined) yield { grey: all.subarray(at, at + size), atS: atS - zeroS };
    }
    left = all.subarray(at);
  }
}

/** When each frame is shown, s by its file's clock, as ffmpeg's filter `showinfo` says it line by line. */
class FrameTimes {
  private tickS = NaN;
  private readonly told: number[] = [];
  private ended = false;
  private waiting: (() => void) | undefined;

  /** A line, or that there is none any more. */
  hear(line: string | undefined): void {
    if (line === undefined) this.ended = true;
    else if (line.startsWith('[Parsed_showinfo')) {
      const [, above, below] = /config in time_base: (\d+)\/(\d+)/.exec(line) ?? [];
      if (above !== undefined) this.tickS = Number(above) / Number(below);
      const ticks = / pts: *(\S+)/.exec(line)?.[1];
      if (ticks !== undefined) this.told.push(Number(ticks) * this.tickS);
    }
    this.waiting?.();
  }

  /** Of the next frame; undefined where it is not said. A line may come after its frame. */
  async next(): Promise<number | undefined> {
    while (this.told.length === 0 && !this.ended) await new Promise<void>((heard) => (this.waiting = heard));
    const atS = this.told.shift();
    return atS !== undefined && Number.isFinite(atS) ? atS : undefined;
  }
}
