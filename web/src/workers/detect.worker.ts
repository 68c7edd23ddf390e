import {
  CHIRP_RATE_HZ,
  ChirpReader,
  detectorState,
  LOOKED_AT,
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
  Conversion,
  Input,
  type InputAudioTrack,
  type InputVideoTrack,
  NullTarget,
  Output,
  WavOutputFormat,
} from 'mediabunny';
import { codesInPicture } from './codesInPicture.ts';
import { greyFrames } from './greyFrames.ts';
import { framesLeft, goneOn, KeptWork, type Gone } from './keptWork.ts';
import { ofPart, tellsNowAndThen, type Told } from './progress.ts';
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

/** A file, and what tells it from others. */
export interface Recorded {
  readonly file: File;
  readonly digest: string;
}

const gate = new Turnstile();

const api = {
  /** Rests where it is, and goes on from there. */
  hold: () => gate.hold(),
  goOn: () => gate.goOn(),
  /**
   * Looks for losses in a file, decoded by this browser piece by piece, from where it was left; the page ends it by
   * ending the worker.
   */
  async find(recorded: Recorded, { signal, picture }: LookedFor, told: Told): Promise<FoundInFile> {
    const input = inputOf(recorded);
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
    const heard = audio && (await inSound(audio, signal, workOn(recorded, signal), ofPart(told, 0, parts)));
    const seen =
      video && (await inPicture(video, workOn(recorded, 'picture'), ofPart(told, parts - 1, parts)));
    return { sound: heard, picture: seen, troubles };
  },
  /** Reads the packets of a beacon in the sound of a file. @throws Error where it has none that can be read */
  async packets(recorded: Recorded, told: Told): Promise<readonly HeardPacket[]> {
    const input = inputOf(recorded);
    const track = await input.getPrimaryAudioTrack();
    if (!track) throw new Error(phrases.itHasNoSound);
    if (!(await track.canDecode())) throw new Error(phrases.thisBrowserCannotDecodeItsSound);
    return packetsInSound(input, track, workOn(recorded, 'packets'), told);
  },
  /**
   * Reads the codes of a beacon in the picture of a file, and how long it is, s.
   * @throws Error where it has none that can be read
   */
  async codes(
    recorded: Recorded,
    told: Told,
  ): Promise<{ readonly seen: readonly SeenCode[]; readonly seconds: number }> {
    const track = await inputOf(recorded).getPrimaryVideoTrack();
    if (!track) throw new Error(phrases.itHasNoPicture);
    if (!(await track.canDecode())) throw new Error(phrases.thisBrowserCannotDecodeThe('picture'));
    const seen = await codesInPicture(track, workOn(recorded, 'codes'), told);
    return { seen, seconds: await track.computeDuration() };
  },
};

const inputOf = ({ file }: Recorded): Input =>
  new Input({ source: new BlobSource(file), formats: ALL_FORMATS });

const workOn = <Known>({ file, digest }: Recorded, what: string): KeptWork<Known> =>
  new KeptWork(gate, `${digest} ${file.size}`, what);

/** Decoding begins so long before what is wanted, s: a codec needs what came before. */
const WARM_UP_S = 1;
/** A packet that began so long before the end of what was heard was read; what began later is read again. */
const READ_AFTER_S = 6;

async function packetsInSound(
  input: Input,
  track: InputAudioTrack,
  work: KeptWork<readonly HeardPacket[]>,
  told: Told,
): Promise<readonly HeardPacket[]> {
  const [beginsS, seconds] = [Math.max(0, await track.getFirstTimestamp()), await track.computeDuration()];
  const left = await work.left();
  if (left && left.toS >= seconds) return left.known;
  if (left) told(left.toS / seconds, true);
  // By whole seconds, so that samples lie as they did.
  const onS = beginsS + Math.max(0, Math.floor((left?.toS ?? 0) - beginsS - READ_AFTER_S));
  const fromS = Math.max(beginsS, onS - WARM_UP_S);
  const heard = (left?.known ?? []).filter((p) => p.atS < onS);
  const reader = new ChirpReader();
  const take = (packets: readonly HeardPacket[]): void =>
    void heard.push(...packets.map((p) => ({ ...p, atS: fromS + p.atS })).filter((p) => p.atS >= onS));
  const conversion = await Conversion.init({
    ...{ input, video: { discard: true }, trim: { start: fromS } },
    // Nothing is written: what was resampled is read and let go.
    output: new Output({ format: new WavOutputFormat(), target: new NullTarget() }),
    audio: {
      ...{ codec: 'pcm-s16', sampleRate: CHIRP_RATE_HZ, numberOfChannels: 1, forceTranscode: true },
      process: async (sample) => {
        await work.pass(fromS + sample.timestamp, () => heard);
        const samples = new Float32Array(sample.numberOfFrames);
        sample.copyTo(samples, { planeIndex: 0, format: 'f32-planar' });
        take(reader.push(samples));
        return sample;
      },
    },
  });
  conversion.onProgress = (share) => told((fromS + share * (seconds - fromS)) / seconds);
  await conversion.execute();
  take(reader.end());
  await work.keep(seconds, heard);
  return heard;
}

async function inSound(
  track: InputAudioTrack,
  signal: SentSignal,
  work: KeptWork<Gone<SoundFound> & { readonly rateHz: number; readonly channels: number }>,
  told: Told,
): Promise<SoundFound> {
  const seconds = await track.computeDuration();
  const left = await work.left();
  const known = left?.known;
  if (known && 'found' in known) return known.found;
  const made = (rateHz: number, channels: number, beginsS: number): SoundDetector =>
    new SoundDetector({ rateHz, channels, signal, beginsS });
  let detector = known && goneOn(made(known.rateHz, known.channels, 0), known.state);
  let toS = detector ? left?.toS : undefined;
  if (toS !== undefined) told(toS / seconds, true);
  const tell = tellsNowAndThen(told, seconds);
  // What comes before 0 is not played: a codec's lead, and what was trimmed off.
  for await (const sample of new AudioSampleSink(track).samples((toS ?? 0) - WARM_UP_S)) {
    const { sampleRate: rateHz, numberOfChannels: channels, numberOfFrames, timestamp } = sample;
    // Decoded for the sake of what follows.
    const heard = Math.max(0, Math.round(((toS ?? 0) - timestamp) * rateHz));
    if (heard < numberOfFrames) {
      const own = (detector ??= made(rateHz, channels, Math.max(0, timestamp)));
      await work.pass(toS ?? timestamp, () => ({ rateHz, channels, state: detectorState(own) }));
      own.push(
        Array.from({ length: channels }, (_, planeIndex) => {
          const whole = new Float32Array(numberOfFrames);
          sample.copyTo(whole, { planeIndex, format: 'f32-planar' });
          return whole.subarray(heard);
        }),
      );
      toS = timestamp + numberOfFrames / rateHz;
      tell(timestamp);
    }
    sample.close();
  }
  const found = (detector ?? made(48_000, 1, 0)).end();
  await work.keep(seconds, { rateHz: 48_000, channels: 1, found });
  return found;
}

async function inPicture(
  track: InputVideoTrack,
  work: KeptWork<Gone<PictureFound>>,
  told: Told,
): Promise<PictureFound> {
  const seconds = await track.computeDuration();
  const left = await framesLeft(work, () => new PictureDetector());
  if ('found' in left) return left.found;
  const { detector } = left;
  let { lastS } = left;
  if (lastS !== undefined) told(lastS / seconds, true);
  const tell = tellsNowAndThen(told, seconds);
  // From the first that is shown: a trimmed film keeps those before it.
  for await (const { grey, atS } of greyFrames(track, lastS ?? 0, { ...LOOKED_AT, fit: 'fill' })) {
    if (lastS !== undefined && atS <= lastS) continue;
    await work.pass(lastS ?? atS, () => ({ state: detectorState(detector) }));
    detector.push(grey, atS);
    lastS = atS;
    tell(atS);
  }
  const found = detector.end();
  await work.keep(seconds, { found });
  return found;
}

export type DetectWorker = typeof api;
Comlink.expose(api);
