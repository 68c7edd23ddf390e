import {
  beaconLosses,
  beaconTrack,
  tagOf,
  type BeaconTrack,
  type Detected,
  type DropoutKind,
  type HeardPacket,
  type ReceivedClock,
  type SeenCode,
} from '@urvek/core';
import * as Comlink from 'comlink';
import type { DetectWorker } from '../../workers/detect.worker.ts';
import { ofPart, type Told } from '../../workers/progress.ts';
import type { Reel } from '../film/reel.ts';
import { useThread, type ThreadState } from '../film/useThread.ts';
import * as phrases from './phrases.ts';

/** Which beacon is read: packets in the sound, or codes in the picture. */
export type BeaconIn = 'sound' | 'picture';

export interface BeaconReading {
  readonly thread: ThreadState;
  readonly read: (from: BeaconIn) => void;
}

/** What a recording's beacon says of its clock, and where codes that were sent were not read. */
export interface ReadBeacon {
  readonly clock: ReceivedClock;
  readonly of: BeaconIn;
  readonly read: number;
  readonly missing: number;
  readonly losses: readonly Detected<DropoutKind>[];
}

/** The beacon of this walk. @throws Error that says why there is none */
function trackOf<R extends HeardPacket | SeenCode>(
  all: readonly R[],
  walkId: string,
  from: BeaconIn,
): BeaconTrack<R> & { readonly clock: ReceivedClock } {
  const track = beaconTrack(all);
  if (!track) throw new Error(from === 'sound' ? phrases.noBeaconWasReadInIts : phrases.noBeaconInItsPicture);
  if (track.tag !== tagOf(walkId))
    throw new Error(phrases.itsBeaconIsOfAnotherWalk(track.tag, tagOf(walkId)));
  const { clock } = track;
  if (!clock) throw new Error(phrases.onlyOfItsMessagesWereRead(track.read.length));
  return { ...track, clock };
}

/** Reads the beacon of a recording. */
export function useBeaconReading(
  reel: Reel,
  walkId: string,
  onRead: (read: ReadBeacon) => void,
): BeaconReading {
  const { start, ...thread } = useThread();
  const inSound = async (reader: Comlink.Remote<DetectWorker>, told: Told) => {
    const all: HeardPacket[] = [];
    for (const [i, { file, digest, beginsS }] of reel.entries()) {
      const packets = await named(file, reader.packets({ file, digest }, toldOfFile(i, told)));
      all.push(...packets.map((p) => ({ ...p, atS: p.atS + beginsS })));
    }
    const { clock, read, missing } = trackOf(all, walkId, 'sound');
    return { clock, of: 'sound' as const, read: read.length, missing: missing.length, losses: [] };
  };
  const inPicture = async (reader: Comlink.Remote<DetectWorker>, told: Told) => {
    const all: SeenCode[] = [];
    let endS = 0;
    for (const [i, { file, digest, beginsS }] of reel.entries()) {
      const { seen, seconds } = await named(file, reader.codes({ file, digest }, toldOfFile(i, told)));
      all.push(...seen.map((c) => ({ ...c, atS: c.atS + beginsS, toS: c.toS + beginsS })));
      endS = beginsS + seconds;
    }
    const track = trackOf(all, walkId, 'picture');
    const losses = beaconLosses(track, endS);
    const { clock, read, missing } = track;
    return { clock, of: 'picture' as const, read: read.length, missing: missing.length, losses };
  };
  const toldOfFile = (i: number, told: Told) => Comlink.proxy(ofPart(told, i, reel.length));
  const read = (from: BeaconIn): void =>
    start(async (worker, told) => {
      const reader = Comlink.wrap<DetectWorker>(worker);
      onRead(await (from === 'sound' ? inSound(reader, told) : inPicture(reader, told)));
    });
  return { thread, read };
}

/** Trouble with a file names it. */
const named = <T>(file: File, reading: Promise<T>): Promise<T> =>
  reading.catch((cause: unknown) => {
    throw new Error(`${file.name}: ${(cause as Error).message}.`, { cause });
  });
