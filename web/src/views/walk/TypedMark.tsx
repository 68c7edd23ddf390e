import type { DistanceMethod, DistanceReading, PlacedName } from '@urvek/core';
import { useState } from 'react';
import { PlaceInput, readPlace } from '../../components/PlaceInput.tsx';
import * as phrases from './phrases.ts';

/** A mark at a distance that is typed: read off a wheel, a tape, counted, or judged by eye. */
export function TypedMark({
  marksM,
  usual,
  points,
  onMark,
  onCancel,
}: {
  /** Distances of the last marks. */
  marksM: readonly number[];
  /** How the last distance was come by, or those of the path are. */
  usual: DistanceMethod;
  /** What the path has by name, for places beside it. */
  points: readonly PlacedName[];
  /** Without a reading: here, and nobody knows where that is. */
  onMark: (reading: DistanceReading | undefined, name?: string) => void;
  onCancel: () => void;
}) {
  const [place, setPlace] = useState({ text: '', method: usual });
  const read = readPlace(place, marksM, points);
  return (
    <form
      className="grid grid-cols-2 content-start gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (place.text.trim() && !read.refused) onMark(read.reading);
      }}
    >
      <PlaceInput
        label={phrases.travelledDistance}
        value={place}
        onChange={setPlace}
        neighboursM={marksM}
        points={points}
        autoFocus
        onEscape={onCancel}
      />
      <button className="pressable" disabled={!place.text.trim() || read.refused}>
        {phrases.markIt}
      </button>
      <button
        type="button"
        className="pressable"
        onClick={() => onMark(undefined, read.beside === undefined ? undefined : place.text.trim())}
      >
        {read.beside === undefined ? phrases.hereDistanceUnknown : phrases.markItByTheseWords}
      </button>
      <button type="button" className="pressable col-span-2" onClick={onCancel}>
        {phrases.cancel}
      </button>
    </form>
  );
}
