import {
  CHIRP_RATE_HZ,
  ChirpReader,
  LOOKED_AT,
  greyOf,
  PictureDetector,
  SoundDetector,
  type HeardPacket,
  type PictureFound,
  type SeenCode,
  type SentSignal,
  type SoundFound,
} from '@urvek/core';
import * as Comlink from 'comlink';
import {
  ALL_FORMATS,
  AudioSampleSink,
  BlobSource,
  CanvasSink,
  Conversion,
  Input,
  type InputAudioTrack,
  type InputVideoTrack,
  Output,
  StreamTarget,
  type StreamTargetChunk,
  WavOutputFormat,
} from 'mediabunny';
import { codesInPicture } from './codesInPicture.ts';
import { tellsNowAndThen } from './progress.ts';
import { Turnstile } from './turnstile.ts';
import * as phrases from './phrases.ts';

export interface LookedFor {
  readonly signal: SentSignal;
  readonly picture: boolean;
}

export interface FoundInFile {
  readonly sound: SoundFound | undefined;
  readonly picture: PictureFound | undefined;
  /** What could not be looked at, and why. */
  readonly troubles: readonly string[];
}

type Told = (share: number) => void;

const gate = new Turnstile();

const api = {
  /** Rests where it is, and goes on from there. */
  hold: () => gate.hold(),
  goOn: () => gate.goOn(),
  /** Looks for losses in a file, decoded by this browser piece by piece; the page ends it by ending the worker. */
  async find(file: File, { signal, picture }: LookedFor, told: Told): Promise<FoundInFile> {
    const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
    const [sound, film] = [
      await input.getPrimaryAudioTrack(),
      picture ? await input.getPrimaryVideoTrack() : null,
    ];
    const troubles: string[] = [];
    const readable = async <T extends { canDecode(): Promise<boolean> }>(
      track: T | null,
      what: string,
    ): Promise<T | undefined> => {
      if (!track) return undefined;
      if (await track.canDecode()) return track;
      troubles.push(phrases.thisBrowserCannotDecodeThe(what));
      return undefined;
    };
    const [audio, video] = [await readable(sound, 'sound'), await readable(film, 'picture')];
    const parts = (audio ? 1 : 0) + (video ? 1 : 0);
    const heard = audio && (await inSound(audio, signal, (share) => told(share / parts)));
    const seen = video && (await inPicture(video, (share) => told((share + parts - 1) / parts)));
    return { sound: heard, picture: seen, troubles };
  },
  /** Reads the packets of a beacon in the sound of a file. @throws Error where it has none that can be read */
  async packets(file: File, told: Told): Promise<HeardPacket[]> {
    const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
    const track = await input.getPrimaryAudioTrack();
    if (!track) throw new Error(phrases.itHasNoSound);
    if (!(await track.canDecode())) throw new Error(phrases.thisBrowserCannotDecodeItsSound);
    const reader = new ChirpReader();
    const heard: HeardPacket[] = [];
    const output = new Output({
      format: new WavOutputFormat(),
      target: new StreamTarget(samplesTo((samples) => heard.push(...reader.push(samples)))),
    });
    const conversion = await Conversion.init({
      ...{ input, output, video: { discard: true } },
      audio: { codec: 'pcm-s16', sampleRate: CHIRP_RATE_HZ, numberOfChannels: 1, forceTranscode: true },
    });
    conversion.onProgress = told;
    await conversion.execute();
    return [...heard, ...reader.end()];
  },
  /**
   * Reads the codes of a beacon in the picture of a file, and how long it is, s.
   * @throws Error where it has none that can be read
   */
  async codes(
    file: File,
    told: Told,
  ): Promise<{ readonly seen: readonly SeenCode[]; readonly seconds: number }> {
    const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
    const track = await input.getPrimaryVideoTrack();
    if (!track) throw new Error(phrases.itHasNoPicture);
    if (!(await track.canDecode())) throw new Error(phrases.thisBrowserCannotDecodeThe('picture'));
    return { seen: await codesInPicture(track, { told, gate }), seconds: await track.computeDuration() };
  },
};

/** Of the head of such a file, bytes: samples of two bytes follow. */
const WAV_HEAD = 44;

/** Takes the samples of a WAV file as it is written; its head is written first, and once more at the end. */
function samplesTo(take: (samples: Float32Array) => void): WritableStream<StreamTargetChunk> {
  let [at, odd] = [WAV_HEAD, new Uint8Array(0)];
  return new WritableStream({
    write: async ({ data, position }) => {
      await gate.pass();
      const skip = at - position;
      if (skip < 0) throw new Error(phrases.samplesWereLeftOutBeforeByte(position));
      if (skip >= data.length) return;
      const fresh = new Uint8Array([...odd, ...data.subarray(skip)]);
      at = position + data.length;
      const bytes = new DataView(fresh.buffer);
      const count = fresh.length >> 1;
      take(Float32Array.from({ length: count }, (_, i) => bytes.getInt16(2 * i, true) / 32_768));
      odd = fresh.slice(2 * count);
    },
  });
}

async function inSound(track: InputAudioTrack, signal: SentSignal, told: Told): Promise<SoundFound> {
  const tell = tellsNowAndThen(told, await track.computeDuration());
  let detector: SoundDetector | undefined;
  for await (const sample of new AudioSampleSink(track).samples()) {
    await gate.pass();
    detector ??= new SoundDetector({ rateHz: sample.sampleRate, channels: sample.numberOfChannels, signal });
    detector.push(
      Array.from({ length: sample.numberOfChannels }, (_, planeIndex) => {
        const own = new Float32Array(sample.numberOfFrames);
        sample.copyTo(own, { planeIndex, format: 'f32-planar' });
        return own;
      }),
    );
    const atS = sample.timestamp;
    sample.close();
    tell(atS);
  }
  return (detector ?? new SoundDetector({ rateHz: 48_000, channels: 1, signal })).end();
}

async function inPicture(track: InputVideoTrack, told: Told): Promise<PictureFound> {
  const tell = tellsNowAndThen(told, await track.computeDuration());
  const { width, height } = LOOKED_AT;
  const detector = new PictureDetector();
  const grey = new Uint8Array(width * height);
  for await (const { canvas, timestamp } of new CanvasSink(track, {
    width,
    height,
    fit: 'fill',
    poolSize: 2,
  }).canvases()) {
    await gate.pass();
    const pen = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
    detector.push(greyOf(pen.getImageData(0, 0, width, height).data, grey), timestamp);
    tell(timestamp);
  }
  return detector.end();
}

export type DetectWorker = typeof api;
Comlink.expose(api);
