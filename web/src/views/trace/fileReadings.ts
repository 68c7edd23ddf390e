import {
  everySteps,
  type Direction,
  type EventBodies,
  type FileReading,
  type MeasuredFile,
} from '@urvek/core';

/** Replies of a ping are taken together so long, s. */
const STEP_S = 5;

const OTHER: Readonly<Record<Direction, Direction>> = {
  'mobile-to-fixed': 'fixed-to-mobile',
  'fixed-to-mobile': 'mobile-to-fixed',
};

/** A reading of a file, at its place on the walk's clock. */
export interface PlacedReading {
  readonly walkS: number;
  readonly body: EventBodies['measured'];
}

/** A ping's replies in steps; intervals of a transfer as they are. */
export const stepsOf = ({ steps, instrument }: MeasuredFile): readonly FileReading[] =>
  instrument === 'ping' ? everySteps(steps, STEP_S) : steps;

/** Read as if the client stood at the mobile end; at the fixed one it is the other way round. */
export function bodyOf(
  { quantity, direction, value, least, most, fromS, toS }: FileReading,
  { instrument }: MeasuredFile,
  end: 'mobile' | 'fixed',
  moving: boolean,
  main: Direction,
): EventBodies['measured'] {
  return {
    quantity,
    // A ping goes there and back: it is filed under the walk's own way.
    direction: instrument === 'ping' ? main : end === 'mobile' ? direction : OTHER[direction],
    ...(value === undefined ? {} : { value }),
    ...(value === undefined || least === undefined ? {} : { least }),
    ...(value === undefined || most === undefined ? {} : { most }),
    instrument,
    provenance: 'measured',
    ...(toS > fromS ? { lastedS: toS - fromS } : {}),
    ...(moving ? { moving: true } : {}),
  };
}
