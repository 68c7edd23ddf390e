import { ROUTE_FILE_LIMIT_BYTES, type Coordinate, type EventOf, type TimedPlace } from '@urvek/core';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { FilePick } from '../../components/FilePick.tsx';
import { TrackJoin } from './TrackJoin.tsx';
import * as phrases from './phrases.ts';

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
      <summary className="cursor-pointer font-bold">{phrases.aTrackOfTheWalk}</summary>
      <div className="mt-2 grid gap-2">
        {done !== undefined && (
          <p role="status" className="flex items-center gap-2">
            {phrases.written(done)}
            <button type="button" className="btn" onClick={() => (stopped.current = true)}>
              {phrases.stop}
            </button>
          </p>
        )}
        {known.length > 0 ? (
          <p className="flex flex-wrap items-center gap-2">
            {phrases.placesOfTheDeviceOrOfATrack(known.length)}
            <button
              type="button"
              className="btn"
              disabled={done !== undefined}
              onClick={() => busy(() => onTakeOut(known, goesOn))}
            >
              {phrases.takeThemOutAgain}
            </button>
          </p>
        ) : !located ? (
          <p>
            {phrases.thisPathDoesNotKnowWhere}
            <Link className="underline" to={`/c/${comparisonId}/paths`}>
              {phrases.enterThatInPaths}
            </Link>
            {phrases.andATrackCanPlaceThe}
          </p>
        ) : !track ? (
          <FilePick
            label={phrases.chooseTheTrack}
            hint={phrases.aGpxFileOfTheWalk}
            accept=".gpx"
            kind="track"
            limitBytes={ROUTE_FILE_LIMIT_BYTES}
            kept={phrases.theLogIsAsItWas}
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
