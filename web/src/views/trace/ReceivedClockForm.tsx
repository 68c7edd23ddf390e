import { plural, type ReceivedClock } from '@urvek/core';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import type { Reel } from '../film/reel.ts';
import { useBeaconReading, type ReadBeacon } from './useBeaconReading.ts';

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
  onClock: (clock: ReceivedClock | undefined) => void;
}) {
  const [beacon, setBeacon] = useState<ReadBeacon>();
  const [there, setThere] = useState('');
  const [here, setHere] = useState('');
  const { share, error, read, cancel } = useBeaconReading(reel, walkId, (found) => {
    setBeacon(found);
    onClock(found.clock);
  });
  const [recordingS, walkS] = [secondsOf(there), secondsOf(here)];
  return (
    <div className="grid gap-2" role="group" aria-label="Where it stands on the walk’s clock">
      <div className="flex flex-wrap items-end gap-3">
        {share === undefined ? (
          <button type="button" className="btn" onClick={read}>
            Read the beacon in its sound
          </button>
        ) : (
          <>
            <progress className="w-40 self-center" value={share} aria-label="Read" />
            <button type="button" className="btn" onClick={cancel}>
              Cancel
            </button>
          </>
        )}
        <span className="self-center text-faint">or a moment that both have:</span>
        <Field
          className="w-32"
          label="In the recording"
          placeholder="1:23.4"
          value={there}
          onChange={(e) => setThere(e.target.value)}
        />
        <Field
          className="w-32"
          label="In the walk"
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
          Place it there
        </button>
      </div>
      {error && <Trouble error={error} />}
      {clock && (
        <p role="status" data-placed>
          {beacon
            ? `Placed by ${beacon.read} ${plural(beacon.read, 'packet')} of its beacon, ${beacon.missing} missing: `
            : 'Placed by a moment that both have: '}
          the walk’s 0:00 is at <span className="figure">{clock.laterS.toFixed(3)} s</span> of the recording
          {beacon && driftText(clock.driftPpm)}.
        </p>
      )}
    </div>
  );
}

const driftText = (ppm: number): string => {
  const size = Math.abs(ppm).toFixed(0);
  return size === '0'
    ? ', and its clock keeps time with the walk’s'
    : `, and its clock runs ${ppm < 0 ? 'slower' : 'faster'} by ${size} millionths`;
};

/** "1:23.4", or "83.4"; undefined for anything else. */
function secondsOf(text: string): number | undefined {
  const parts = /^(?:(?:(\d+):)?(\d+):)?(\d+(?:\.\d+)?)$/.exec(text.trim());
  if (!parts) return undefined;
  const [, h = '0', m = '0', s = '0'] = parts;
  return 3600 * Number(h) + 60 * Number(m) + Number(s);
}
