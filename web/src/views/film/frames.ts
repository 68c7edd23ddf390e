import { ALL_FORMATS, AudioSampleSink, BlobSource, EncodedPacketSink, Input } from 'mediabunny';

/** What is known of a recording beside what the browser plays. */
export interface Frames {
  /** Beginning of each frame that is shown, s, in order; empty where there is no picture. */
  readonly atS: readonly number[];
  /** Length of the last one, s. */
  readonly lastS: number;
}

/** The longest film that is looked at frame by frame: ten hours at 60 a second. */
const MOST_FRAMES = 2_160_000;

/** Frames of a film, read off its packets without decoding. @throws when the file cannot be read so */
export async function framesOf(file: File, stopped: () => boolean): Promise<Frames> {
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  const track = await input.getPrimaryVideoTrack();
  if (!track) return { atS: [], lastS: 0 };
  const sink = new EncodedPacketSink(track);
  const atS: number[] = [];
  let lastS = 0;
  for (
    let packet = await sink.getFirstPacket({ metadataOnly: true });
    packet && atS.length < MOST_FRAMES && !stopped();
    packet = await sink.getNextPacket(packet, { metadataOnly: true })
  ) {
    atS.push(packet.timestamp);
    lastS = packet.duration;
  }
  // Packets come in the order of decoding.
  atS.sort((a, b) => a - b);
  // What stands before 0 was trimmed off, and is in the file all the same.
  const first = atS.findLastIndex((s) => s <= 0);
  return { atS: atS.slice(Math.max(0, first)), lastS };
}

/** The frame that stands at a moment; undefined where there is none. */
export function frameAt(
  { atS, lastS }: Frames,
  seconds: number,
): { index: number; fromS: number; lengthS: number } | undefined {
  if (atS.length === 0) return undefined;
  let [low, high] = [0, atS.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    // A player stands a little before or behind the frame that it shows.
    if ((atS[middle] as number) <= seconds + 1e-4) low = middle;
    else high = middle - 1;
  }
  const fromS = atS[low] as number;
  const lengthS = (atS[low + 1] ?? fromS + lastS) - fromS;
  return { index: low, fromS, lengthS: lengthS > 0 ? lengthS : lastS };
}

/** Loudness of the sound, the greatest of every so many seconds; told as it grows. Empty where there is no sound. */
export async function peaksOf(
  file: File,
  everyS: number,
  stopped: () => boolean,
  told: (share: number) => void,
): Promise<Float32Array> {
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  const track = await input.getPrimaryAudioTrack();
  if (!track || !(await track.canDecode())) return new Float32Array();
  const seconds = await track.computeDuration();
  const peaks = new Float32Array(Math.max(1, Math.ceil(seconds / everyS)));
  for await (const sample of new AudioSampleSink(track).samples()) {
    const { numberOfFrames, sampleRate, timestamp } = sample;
    const values = new Float32Array(numberOfFrames);
    sample.copyTo(values, { planeIndex: 0, format: 'f32-planar' });
    sample.close();
    values.forEach((v, i) => {
      const at = Math.floor((timestamp + i / sampleRate) / everyS);
      if (at >= 0 && at < peaks.length) peaks[at] = Math.max(peaks[at] as number, Math.abs(v));
    });
    if (stopped()) break;
    told(timestamp / seconds);
  }
  return peaks;
}

const END = 1 << 20;

/** SHA-256 of the first and the last mebibyte, in hexadecimal: enough to know a file again, however long it is. */
export async function digestOf(file: File): Promise<string> {
  const ends = await new Blob([file.slice(0, END), file.slice(Math.max(END, file.size - END))]).arrayBuffer();
  return [...new Uint8Array(await crypto.subtle.digest('SHA-256', ends))]
    .map((b) => b.toString(16).padStart(2, '0'))
    .join('');
}
