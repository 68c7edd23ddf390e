import { plural, trackOnWalk, type Coordinate, type EventOf, type TimedPlace } from '@urvek/core';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { clockMs, clockText } from './trackClock.ts';

interface Placing {
  /** The walk on the recording. */
  readonly fromS: number;
  readonly toS: number;
  readonly onPlace: (
    places: readonly (Coordinate & { readonly walkS: number })[],
    accuracyM: number,
    told: (done: number) => void,
  ) => Promise<void>;
  readonly onTakeOut: (fixes: readonly EventOf<'fix'>[], told: (done: number) => void) => Promise<void>;
}

/** Places of the walk from a track that was recorded beside the film: joined by a moment at which a clock is known. */
export function TrackBeside({
  atS,
  located,
  known,
  fromS,
  toS,
  onPlace,
  onTakeOut,
}: {
  /** The film stands here. */
  atS: number;
  /** The path knows where on the earth it is. */
  located: boolean;
  /** Places that stand in the log. */
  known: readonly EventOf<'fix'>[];
} & Placing) {
  const [track, setTrack] = useState<readonly TimedPlace[]>();
  const [clock, setClock] = useState('');
  const [accuracy, setAccuracy] = useState('');
  const [done, setDone] = useState<number>();
  const [first, last] = [track?.[0], track?.at(-1)];
  const atMs = first && clockMs(clock, first.atMs);
  const accuracyM = Number(accuracy.replace(',', '.'));
  const places =
    track && atMs !== undefined ? trackOnWalk(track, { walkS: atS, atMs }, fromS, toS) : undefined;
  const busy = (work: Promise<void>): void => void work.finally(() => setDone(undefined));
  return (
    <details className="sheet mt-2 p-2">
      <summary className="cursor-pointer font-bold">A track of the walk</summary>
      <div className="mt-2 grid gap-2">
        {known.length > 0 && (
          <p className="flex flex-wrap items-center gap-2">
            {known.length} {plural(known.length, 'place')} of the device or of a track{' '}
            {known.length === 1 ? 'stands' : 'stand'} in the log.
            <button
              type="button"
              className="btn"
              disabled={done !== undefined}
              onClick={() => busy(onTakeOut(known, setDone))}
            >
              Take them out again
            </button>
          </p>
        )}
        {known.length > 0 ? null : !located ? (
          <p>
            This path does not know where on the earth its fixed end is: enter that in Paths, and a track can
            place the walk.
          </p>
        ) : !first || !last ? (
          <FilePick
            label="Choose the track"
            hint="A GPX file of the walk, with times"
            accept=".gpx"
            kind="track"
            limitBytes={20_000_000}
            kept="The log is as it was; choose another file."
            take={setTrack}
          />
        ) : (
          <form
            className="grid gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              if (places) busy(onPlace(places, accuracyM, setDone));
            }}
          >
            <p>
              {track?.length} places, {clockText(first.atMs)} to {clockText(last.atMs)} by this device’s time
              zone.
            </p>
            <div className="grid grid-cols-2 gap-2">
              <Field
                label="The clock, at this moment of the film"
                placeholder="10:05:12"
                help="Go to a moment at which the film shows a clock."
                value={clock}
                onChange={(e) => setClock(e.target.value)}
              />
              <Field
                label="Accuracy, 95 %"
                suffix="m"
                inputMode="decimal"
                help="As the receiver shows it; 5 to 10 m in the open is common."
                value={accuracy}
                onChange={(e) => setAccuracy(e.target.value)}
              />
            </div>
            {places && (
              <p role="status">
                {places.length === 0
                  ? 'No place of the track is within the walk: is the clock right?'
                  : `${places.length} ${plural(places.length, 'place')} within the walk.`}
              </p>
            )}
            <p className="flex flex-wrap items-center gap-2">
              <button
                className="btn btn-main"
                disabled={!places?.length || !(accuracyM > 0) || done !== undefined}
              >
                Place the walk by it
              </button>
              <button type="button" className="btn" onClick={() => setTrack(undefined)}>
                Another track
              </button>
              {done !== undefined && <span role="status">{done} written …</span>}
            </p>
          </form>
        )}
      </div>
    </details>
  );
}
