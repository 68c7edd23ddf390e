import { type ReceivedClock } from '@urvek/core';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import type { Reel } from '../film/reel.ts';
import { ThreadBar } from '../film/ThreadBar.tsx';
import { useBeaconReading, type ReadBeacon } from './useBeaconReading.ts';
import * as phrases from './phrases.ts';

/** Where a recording stands on the walk's clock: by the beacon that it carries, or by a moment that both show. */
export function ReceivedClockForm({
  reel,
  walkId,
  clock,
  onClock,
}: {
  reel: Reel;
  walkId: string;
  clock: ReceivedClock | undefined;
  /** With what its beacon tells of losses, where that placed it. */
  onClock: (clock: ReceivedClock, beacon?: ReadBeacon) => void;
}) {
  const [beacon, setBeacon] = useState<ReadBeacon>();
  const [there, setThere] = useState('');
  const [here, setHere] = useState('');
  const { thread, read } = useBeaconReading(reel, walkId, (found) => {
    setBeacon(found);
    onClock(found.clock, found);
  });
  const [recordingS, walkS] = [secondsOf(there), secondsOf(here)];
  return (
    <div className="grid gap-2" role="group" aria-label={phrases.whereItStandsOnTheWalks}>
      <div className="flex flex-wrap items-end gap-3">
        {thread.share === undefined ? (
          <>
            <button type="button" className="btn" onClick={() => read('sound')}>
              {phrases.readTheBeaconInItsSound}
            </button>
            <button type="button" className="btn" onClick={() => read('picture')}>
              {phrases.readTheBeaconInItsPicture}
            </button>
          </>
        ) : (
          <ThreadBar {...thread} label={phrases.read} />
        )}
        <span className="self-center text-faint">{phrases.orAMomentThatBothHave}</span>
        <Field
          className="w-32"
          label={phrases.inTheRecording}
          placeholder="1:23.4"
          value={there}
          onChange={(e) => setThere(e.target.value)}
        />
        <Field
          className="w-32"
          label={phrases.inTheWalk}
          placeholder="0:41.0"
          value={here}
          onChange={(e) => setHere(e.target.value)}
        />
        <button
          type="button"
          className="btn"
          disabled={recordingS === undefined || walkS === undefined}
          onClick={() => {
            setBeacon(undefined);
            onClock({ laterS: (recordingS as number) - (walkS as number), driftPpm: 0 });
          }}
        >
          {phrases.placeItThere}
        </button>
      </div>
      {thread.error && <Trouble error={thread.error} />}
      {clock && (
        <p role="status" data-placed>
          {phrases.theWalks000IsAt(
            beacon
              ? (beacon.of === 'sound'
                  ? phrases.placedByPacketsOfItsBeacon
                  : phrases.placedByCodesOfItsBeacon)(beacon.read, beacon.missing)
              : phrases.placedByAMomentThatBoth,
          )}
          <span className="figure">{clock.laterS.toFixed(3)} s</span>
          {phrases.ofTheRecording}
          {beacon && driftText(clock.driftPpm)}.
        </p>
      )}
    </div>
  );
}

const driftText = (ppm: number): string => {
  const size = Math.abs(ppm).toFixed(0);
  return size === '0'
    ? phrases.andItsClockKeepsTimeWith
    : phrases.andItsClockRunsByMillionths(ppm < 0 ? 'slower' : 'faster', size);
};

/** "1:23.4", or "83.4"; undefined for anything else. */
function secondsOf(text: string): number | undefined {
  const parts = /^(?:(?:(\d+):)?(\d+):)?(\d+(?:\.\d+)?)$/.exec(text.trim());
  if (!parts) return undefined;
  const [, h = '0', m = '0', s = '0'] = parts;
  return 3600 * Number(h) + 60 * Number(m) + Number(s);
}
