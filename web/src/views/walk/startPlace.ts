import type { DistanceMethod, Reading } from '@urvek/core';
import { readPlace } from '../../components/PlaceInput.tsx';

/** Where a walk begins, as far as it is said. */
export interface StartPlace {
  readonly at: 'not stated' | 'the fixed end' | 'a distance';
  readonly text: string;
  readonly method: DistanceMethod;
  /** Out of reach, coming in. */
  readonly inwards: boolean;
}

export const NOT_STATED: StartPlace = { at: 'not stated', text: '', method: 'marked line', inwards: false };

export const AT_FIXED_END: Reading = { travelledM: 0, method: 'marked line', pressed: false };

/** The reading that a walk begins with; undefined where nobody has said it. */
export function readingOfStart(start: StartPlace): Reading | undefined {
  if (start.at === 'the fixed end') return AT_FIXED_END;
  const reading = start.at === 'a distance' ? readPlace(start).reading : undefined;
  return reading && { ...reading, pressed: false };
}
