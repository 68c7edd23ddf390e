import type { DistanceMethod } from '@urvek/core';
import { Choice, Tick } from '../../components/Field.tsx';
import { PlaceInput } from '../../components/PlaceInput.tsx';
import type { StartPlace } from './startPlace.ts';
import * as phrases from './phrases.ts';

const PLACES = ['not stated', 'the fixed end', 'a distance'] as const;

/** A walk begins anywhere: at the fixed end, so far from it, or at a place that nobody has measured. */
export function StartAt({
  start,
  onChange,
  usual,
}: {
  start: StartPlace;
  onChange: (start: StartPlace) => void;
  usual: DistanceMethod;
}) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <Choice
        className="col-span-2"
        label={phrases.beginsAt}
        value={start.at}
        onChange={(e) => onChange({ ...start, at: e.target.value as StartPlace['at'], method: usual })}
      >
        {PLACES.map((p) => (
          <option key={p} value={p}>
            {p === 'a distance' ? phrases.aDistanceFromTheFixedEnd : p}
          </option>
        ))}
      </Choice>
      <Tick
        label={phrases.outOfReachComingIn}
        checked={start.inwards}
        onChange={(e) => onChange({ ...start, inwards: e.target.checked })}
      />
      {start.at === 'a distance' && (
        <PlaceInput
          label={phrases.fromTheFixedEnd}
          value={start}
          onChange={(place) => onChange({ ...start, ...place })}
        />
      )}
    </div>
  );
}
