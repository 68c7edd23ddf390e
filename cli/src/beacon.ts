import {
  beaconTrack,
  CHIRP_RATE_HZ,
  ChirpReader,
  CODES_LOOKED_AT,
  edgeIn,
  placeAt,
  SeenCodes,
  tagOf,
  BEACON_TICK_S,
  traceWalk,
  type BeaconTrack,
  type HeardPacket,
  type PictureMessage,
  type SeenCode,
  type Trace,
} from '@urvek/core';
import { readWalkFile, type WalkFile } from '@urvek/contract';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { BadInput } from './badInput.ts';
import { eachTrack, framesOf, probeMedia, soundOf, type Media } from './media.ts';

export interface BeaconOptions {
  readonly json?: true;
  /** A walk that was saved as a file: its log says where each message was sent. */
  readonly walk?: string;
}

/** The `beacon` command: what a recording carries of where and when it was. @throws BadInput */
export async function beacon(file: string, options: BeaconOptions): Promise<string> {
  const media = await probeMedia(file);
  const walk = options.walk === undefined ? undefined : walkOf(options.walk);
  const {
    sound: heard,
    picture: seen,
    notes,
  } = await eachTrack(
    media.sound && heardIn(file, media.sound.beginsS),
    media.picture && seenIn(file, media.picture),
  );
  const [sound, picture] = [heard && beaconTrack(heard), seen && beaconTrack(seen)];
  if (walk)
    for (const track of [sound, picture])
      if (track && track.tag !== walk.tag)
        throw new BadInput(
          `${options.walk}: its walk has the tag ${walk.tag}, the recording carries ${track.tag}`,
        );
  return options.json
    ? `${JSON.stringify({ ...jsonOf(sound, picture, walk?.trace), notes }, null, 1)}\n`
    : textOf(sound, picture, walk?.trace) + notes.map((n) => `Note: ${n}.\n`).join('');
}

function savedWalk(file: string): WalkFile {
  try {
    return readWalkFile(JSON.parse(readFileSync(file, 'utf8')));
  } catch (error) {
    throw new BadInput(`${file}: ${(error as Error).message}`);
  }
}

function walkOf(file: string): { tag: number; trace: Trace } {
  const { walkId, log } = savedWalk(file);
  const trace = traceWalk(log);
  if (!trace) throw new BadInput(`${file}: the walk has no beginning`);
  return { tag: tagOf(walkId), trace };
}

async function heardIn(file: string, beginsS: number): Promise<HeardPacket[]> {
  const reader = new ChirpReader();
  const heard: HeardPacket[] = [];
  for await (const [mono] of soundOf(file, { rateHz: CHIRP_RATE_HZ, channels: 1 }))
    if (mono) heard.push(...reader.push(mono));
  return [...heard, ...reader.end()].map((packet) => ({ ...packet, atS: beginsS + packet.atS }));
}

async function seenIn(file: string, picture: NonNullable<Media['picture']>): Promise<readonly SeenCode[]> {
  // Beside the package, not from the network.
  const wasm = createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm');
  prepareZXingModule({ overrides: { wasmBinary: readFileSync(wasm).buffer as ArrayBuffer } });
  const { width, height } = CODES_LOOKED_AT;
  const fit = `scale=${width}:${height}:force_original_aspect_ratio=decrease:flags=area,pad=${width}:${height}`;
  const codes = new SeenCodes();
  const pixels = new Uint8ClampedArray(4 * width * height).fill(255);
  for await (const { grey, atS } of framesOf(file, picture, width * height, fit)) {
    for (let i = 0; i < grey.length; i++)
      pixels[4 * i] = pixels[4 * i + 1] = pixels[4 * i + 2] = grey[i] as number;
    const [code] = await readBarcodes({ data: pixels, width, height, colorSpace: 'srgb' } as ImageData, {
      ...{ formats: ['QRCode'], maxNumberOfSymbols: 1, tryRotate: false, tryInvert: false },
    });
    const at = (x: number, y: number): number | undefined =>
      x >= 0 && x < width ? grey[y * width + x] : undefined;
    codes.push(code?.text, atS, code && edgeIn(at, code.position));
  }
  return codes.seen;
}

const placeOf = (trace: Trace | undefined, sequence: number) => {
  const place = trace && placeAt(trace, BEACON_TICK_S * sequence);
  return place && { travelled_m: place.travelledM, uncertainty_m: place.uncertaintyM };
};

const clockJson = (clock: BeaconTrack<HeardPacket>['clock']): object => ({
  later_s: clock?.laterS ?? null,
  drift_ppm: clock?.driftPpm ?? null,
});

const jsonOf = (
  sound: BeaconTrack<HeardPacket> | undefined,
  picture: BeaconTrack<SeenCode> | undefined,
  trace: Trace | undefined,
): object => ({
  sound: sound
    ? {
        tag: sound.tag,
        ...clockJson(sound.clock),
        packets: sound.read.map((p) => ({
          ...{ at_s: p.atS, walk_s: BEACON_TICK_S * p.sequence, sequence: p.sequence, likeness: p.likeness },
          ...placeOf(trace, p.sequence),
        })),
        missing: missingJson(sound, trace),
        implausible: sound.implausible.length,
      }
    : null,
  picture: picture
    ? {
        tag: picture.tag,
        ...clockJson(picture.clock),
        codes: picture.read.map((c) => ({
          ...{
            from_s: c.atS,
            to_s: c.toS,
            walk_s: BEACON_TICK_S * c.sequence,
            sequence: c.sequence,
            frames: c.frames,
          },
          ...(c.arrivedS !== undefined && { late_s: c.arrivedS - BEACON_TICK_S * c.sequence }),
          ...(c.separation && { separation_m: c.separation.m, separation_u_m: c.separation.uM }),
          ...placeOf(trace, c.sequence),
        })),
        missing: missingJson(picture, trace),
        implausible: picture.implausible.length,
      }
    : null,
});

const missingJson = <R extends HeardPacket | SeenCode>(
  { missing }: BeaconTrack<R>,
  trace: Trace | undefined,
): object[] => missing.map((m) => ({ at_s: m.atS, sequence: m.sequence, ...placeOf(trace, m.sequence) }));

function textOf(
  sound: BeaconTrack<HeardPacket> | undefined,
  picture: BeaconTrack<SeenCode> | undefined,
  trace: Trace | undefined,
): string {
  if (!sound && !picture) return 'No beacon was read.\n';
  const told = <R extends HeardPacket | SeenCode>(
    what: string,
    track: BeaconTrack<R> | undefined,
  ): string[] =>
    track
      ? [
          `${what}: ${track.read.length} read, ${track.missing.length} missing, ${track.implausible.length}` +
            ` left out as impossible; walk tag ${track.tag}`,
          ...(track.clock
            ? [
                `  later than the walk’s clock by ${track.clock.laterS.toFixed(4)} s, drift ` +
                  `${track.clock.driftPpm.toFixed(1)} ppm`,
              ]
            : []),
          ...track.read.map((r) => line(r, trace)),
          ...track.missing.map((m) => `${line(m, trace)}  missing`),
        ]
      : [];
  return `${[...told('In the sound', sound), ...told('In the picture', picture)].join('\n')}\n`;
}

function line(
  read: { atS: number; sequence: number; separation?: PictureMessage['separation'] },
  trace?: Trace,
) {
  const place = placeOf(trace, read.sequence);
  return [
    read.atS.toFixed(3).padStart(12),
    `walk ${(BEACON_TICK_S * read.sequence).toFixed(1)} s`,
    ...(place ? [`${place.travelled_m.toFixed(1)} m ± ${place.uncertainty_m.toFixed(1)}`] : []),
    ...(read.separation
      ? [`separation ${read.separation.m.toFixed(1)} m ± ${read.separation.uM.toFixed(1)}`]
      : []),
  ].join('  ');
}
