import { plural, trackOnWalk, type Coordinate, type TimedPlace } from '@urvek/core';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { clockMs, clockText, dayText } from './trackClock.ts';

/** A track is joined to the film by what a clock says at a moment of it. */
export function TrackJoin({
  track,
  atS,
  fromS,
  toS,
  busy,
  onPlace,
  onOther,
}: {
  track: readonly TimedPlace[];
  /** The film stands here; the walk on it. */
  atS: number;
  fromS: number;
  toS: number;
  busy: boolean;
  onPlace: (places: readonly (Coordinate & { readonly walkS: number })[], accuracyM: number) => void;
  onOther: () => void;
}) {
  const [clock, setClock] = useState('');
  const [accuracy, setAccuracy] = useState('');
  const [first, last] = [track[0], track.at(-1)] as [TimedPlace, TimedPlace];
  const atMs = clockMs(clock, first.atMs);
  const accuracyM = Number(accuracy.replace(',', '.'));
  const places = atMs === undefined ? undefined : trackOnWalk(track, { walkS: atS, atMs }, fromS, toS);
  return (
    <form
      className="grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (places) onPlace(places, accuracyM);
      }}
    >
      <p>
        {track.length} places, {dayText(first.atMs)}, {clockText(first.atMs)} to {clockText(last.atMs)} by
        this device’s time zone.
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
        <button className="btn btn-main" disabled={!places?.length || !(accuracyM > 0) || busy}>
          Place the walk by it
        </button>
        <button type="button" className="btn" onClick={onOther}>
          Another track
        </button>
      </p>
    </form>
  );
}
