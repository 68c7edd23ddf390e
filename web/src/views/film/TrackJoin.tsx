import { trackOnWalk, type Coordinate, type TimedPlace } from '@urvek/core';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { clockMs, clockText, dayText } from './trackClock.ts';
import * as phrases from './phrases.ts';

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
        {phrases.placesToByThisDevicesTime(
          track.length,
          dayText(first.atMs),
          clockText(first.atMs),
          clockText(last.atMs),
        )}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <Field
          label={phrases.theClockAtThisMomentOf}
          placeholder="10:05:12"
          help={phrases.goToAMomentAtWhich}
          value={clock}
          onChange={(e) => setClock(e.target.value)}
        />
        <Field
          label={phrases.accuracy95Percent}
          suffix="m"
          inputMode="decimal"
          help={phrases.asTheReceiverShowsIt5}
          value={accuracy}
          onChange={(e) => setAccuracy(e.target.value)}
        />
      </div>
      {places && (
        <p role="status">
          {places.length === 0 ? phrases.noPlaceOfTheTrackIs : phrases.placesWithinTheWalk(places.length)}
        </p>
      )}
      <p className="flex flex-wrap items-center gap-2">
        <button className="btn btn-main" disabled={!places?.length || !(accuracyM > 0) || busy}>
          {phrases.placeTheWalkByIt}
        </button>
        <button type="button" className="btn" onClick={onOther}>
          {phrases.anotherTrack}
        </button>
      </p>
    </form>
  );
}
