import { plural, ROUTE_FILE_LIMIT_BYTES, type Coordinate, type EventOf, type TimedPlace } from '@urvek/core';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { FilePick } from '../../components/FilePick.tsx';
import { TrackJoin } from './TrackJoin.tsx';

/** Places of the walk from a track that was recorded beside the film: joined by a moment at which a clock is known. */
export function TrackBeside({
  comparisonId,
  atS,
  located,
  known,
  fromS,
  toS,
  onPlace,
  onTakeOut,
}: {
  comparisonId: string;
  /** The film stands here. */
  atS: number;
  /** The path knows where on the earth it is. */
  located: boolean;
  /** Places that stand in the log. */
  known: readonly EventOf<'fix'>[];
  /** The walk on the recording. */
  fromS: number;
  toS: number;
  onPlace: (
    places: readonly (Coordinate & { readonly walkS: number })[],
    accuracyM: number,
    goesOn: (done: number) => boolean,
  ) => Promise<void>;
  onTakeOut: (fixes: readonly EventOf<'fix'>[], goesOn: (done: number) => boolean) => Promise<void>;
}) {
  const [track, setTrack] = useState<readonly TimedPlace[]>();
  const [done, setDone] = useState<number>();
  const stopped = useRef(false);
  const goesOn = (written: number): boolean => {
    setDone(written);
    return !stopped.current;
  };
  const busy = (write: () => Promise<void>): void => {
    stopped.current = false;
    void write().finally(() => setDone(undefined));
  };
  return (
    <details className="sheet mt-2 p-2">
      <summary className="cursor-pointer font-bold">A track of the walk</summary>
      <div className="mt-2 grid gap-2">
        {done !== undefined && (
          <p role="status" className="flex items-center gap-2">
            {done} written …
            <button type="button" className="btn" onClick={() => (stopped.current = true)}>
              Stop
            </button>
          </p>
        )}
        {known.length > 0 ? (
          <p className="flex flex-wrap items-center gap-2">
            {known.length} {plural(known.length, 'place')} of the device or of a track{' '}
            {known.length === 1 ? 'stands' : 'stand'} in the log.
            <button
              type="button"
              className="btn"
              disabled={done !== undefined}
              onClick={() => busy(() => onTakeOut(known, goesOn))}
            >
              Take them out again
            </button>
          </p>
        ) : !located ? (
          <p>
            This path does not know where on the earth its fixed end is:{' '}
            <Link className="underline" to={`/c/${comparisonId}/paths`}>
              enter that in Paths
            </Link>
            , and a track can place the walk.
          </p>
        ) : !track ? (
          <FilePick
            label="Choose the track"
            hint="A GPX file of the walk, with times"
            accept=".gpx"
            kind="track"
            limitBytes={ROUTE_FILE_LIMIT_BYTES}
            kept="The log is as it was; choose another file."
            take={setTrack}
          />
        ) : (
          <TrackJoin
            track={track}
            atS={atS}
            fromS={fromS}
            toS={toS}
            busy={done !== undefined}
            onPlace={(places, accuracyM) => busy(() => onPlace(places, accuracyM, goesOn))}
            onOther={() => setTrack(undefined)}
          />
        )}
      </div>
    </details>
  );
}
