import { beaconTrack, tagOf, type HeardPacket, type ReceivedClock } from '@urvek/core';
import * as Comlink from 'comlink';
import type { DetectWorker } from '../../workers/detect.worker.ts';
import type { Reel } from '../film/reel.ts';
import { useThread, type Thread } from '../film/useThread.ts';
import * as phrases from './phrases.ts';

export interface BeaconReading extends Pick<Thread, 'share' | 'error' | 'cancel'> {
  readonly read: () => void;
}

/** What a recording's beacon says of its clock. */
export interface ReadBeacon {
  readonly clock: ReceivedClock;
  readonly read: number;
  readonly missing: number;
}

/** The clock by the packets of this walk. @throws Error that says why there is none */
function clockBy(packets: readonly HeardPacket[], walkId: string): ReadBeacon {
  const track = beaconTrack(packets);
  if (!track) throw new Error(phrases.noBeaconWasReadInIts);
  if (track.tag !== tagOf(walkId))
    throw new Error(phrases.itsBeaconIsOfAnotherWalk(track.tag, tagOf(walkId)));
  if (!track.clock) throw new Error(phrases.onlyOfItsPacketsWereRead(track.read.length));
  return { clock: track.clock, read: track.read.length, missing: track.missing.length };
}

/** Reads the beacon of a recording. */
export function useBeaconReading(
  reel: Reel,
  walkId: string,
  onRead: (read: ReadBeacon) => void,
): BeaconReading {
  const { share, error, start, cancel } = useThread();
  const read = (): void =>
    start(async (worker, told) => {
      const reader = Comlink.wrap<DetectWorker>(worker);
      const all: HeardPacket[] = [];
      for (const [i, { file, beginsS }] of reel.entries()) {
        const toldOfFile = Comlink.proxy((s: number) => told((i + s) / reel.length));
        const heard = await reader.packets(file, toldOfFile).catch((cause: unknown) => {
          throw new Error(`${file.name}: ${(cause as Error).message}.`, { cause });
        });
        all.push(...heard.map((p) => ({ ...p, atS: p.atS + beginsS })));
      }
      onRead(clockBy(all, walkId));
    });
  return { share, error, read, cancel };
}
