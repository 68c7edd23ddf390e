import { beaconTrack, tagOf, type HeardPacket, type ReceivedClock } from '@urvek/core';
import * as Comlink from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { DetectWorker } from '../../workers/detect.worker.ts';
import type { Reel } from '../film/reel.ts';

export interface BeaconReading {
  /** Share that was read; undefined: nothing goes on. */
  readonly share: number | undefined;
  readonly error: Error | undefined;
  readonly read: () => void;
  readonly cancel: () => void;
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
  if (!track) throw new Error('No beacon was read in its sound.');
  if (track.tag !== tagOf(walkId))
    throw new Error(`Its beacon is of another walk: tag ${track.tag}, and this walk has ${tagOf(walkId)}.`);
  if (!track.clock)
    throw new Error(
      `Only ${track.read.length} of its packets were read: three are needed to tell the clock.`,
    );
  return { clock: track.clock, read: track.read.length, missing: track.missing.length };
}

/** Reads the beacon of a recording in a worker; cancelled by ending it. */
export function useBeaconReading(
  reel: Reel,
  walkId: string,
  onRead: (read: ReadBeacon) => void,
): BeaconReading {
  const worker = useRef<Worker>(undefined);
  const [share, setShare] = useState<number>();
  const [error, setError] = useState<Error>();
  const cancel = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
    setShare(undefined);
  }, []);
  useEffect(() => cancel, [cancel]);
  const run = async (thread: Worker): Promise<void> => {
    const reader = Comlink.wrap<DetectWorker>(thread);
    const all: HeardPacket[] = [];
    for (const [i, { file, beginsS }] of reel.entries()) {
      const told = Comlink.proxy((s: number) => setShare((i + s) / reel.length));
      const heard = await reader.packets(file, told).catch((cause: unknown) => {
        throw new Error(`${file.name}: ${(cause as Error).message}.`, { cause });
      });
      all.push(...heard.map((p) => ({ ...p, atS: p.atS + beginsS })));
    }
    onRead(clockBy(all, walkId));
  };
  return {
    share,
    error,
    cancel,
    read: () => {
      cancel();
      setError(undefined);
      setShare(0);
      const thread = new Worker(new URL('../../workers/detect.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = thread;
      run(thread)
        .catch((cause: unknown) => worker.current === thread && setError(cause as Error))
        .finally(() => worker.current === thread && cancel());
    },
  };
}
