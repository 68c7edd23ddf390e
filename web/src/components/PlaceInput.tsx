import {
  DISTANCE_METHODS,
  looksMisread,
  parsePlace,
  type DistanceMethod,
  type DistanceReading,
  type PlacedName,
  UnknownPoint,
} from '@urvek/core';
import { Choice, Field, Options } from './Field.tsx';
import * as phrases from './phrases.ts';

/** A distance as it is typed, and how it was come by. */
export interface TypedPlace {
  readonly text: string;
  readonly method: DistanceMethod;
}

/** What a typed place says, or what is wrong or odd with it. */
export interface PlaceRead {
  /** Absent: unknown, or not yet readable. */
  readonly reading: DistanceReading | undefined;
  readonly refused: boolean;
  readonly doubt: string | undefined;
  /** The point it lies beside, which the path does not have: it has an order, and no distance. */
  readonly beside?: string;
}

/** Reads what was typed, unit and all; a figure a thousand times off its neighbours is questioned. */
export function readPlace(
  { text, method }: TypedPlace,
  neighboursM: readonly number[] = [],
  points: readonly PlacedName[] = [],
): PlaceRead {
  try {
    const { reading, side } = parsePlace(text, method, 'm', points);
    if (side !== 'at')
      return {
        reading: undefined,
        refused: true,
        doubt: phrases.writeWhereYouAreOverAnd,
      };
    return {
      reading,
      refused: false,
      doubt:
        reading && looksMisread(reading.travelledM, neighboursM)
          ? phrases.aThousandTimesOffTheLast
          : undefined,
    };
  } catch (error) {
    if (error instanceof UnknownPoint)
      return {
        reading: undefined,
        refused: true,
        doubt: phrases.noPointOfThisPathIs(error.point),
        beside: error.point,
      };
    return {
      reading: undefined,
      refused: true,
      doubt: phrases.writeADistanceAsIn40,
    };
  }
}

/** A distance and its method, side by side. */
export function PlaceInput({
  label,
  value,
  onChange,
  neighboursM,
  points,
  autoFocus = false,
  onEscape,
}: {
  label: string;
  value: TypedPlace;
  onChange: (value: TypedPlace) => void;
  neighboursM?: readonly number[];
  /** What the path has by name, for places beside it. */
  points?: readonly PlacedName[];
  autoFocus?: boolean;
  onEscape?: () => void;
}) {
  const { doubt } = value.text.trim() === '' ? { doubt: undefined } : readPlace(value, neighboursM, points);
  return (
    <div className="col-span-2 grid grid-cols-2 gap-2">
      <Field
        label={label}
        suffix="m"
        placeholder={phrases.n4090YdAbout40}
        autoFocus={autoFocus}
        value={value.text}
        onChange={(e) => onChange({ ...value, text: e.target.value })}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onEscape?.();
        }}
      />
      <Choice
        label={phrases.measuredBy}
        value={value.method}
        onChange={(e) => onChange({ ...value, method: e.target.value as DistanceMethod })}
      >
        <Options of={DISTANCE_METHODS} />
      </Choice>
      {doubt && (
        <p role="alert" className="col-span-2 border-l-4 border-degraded pl-2">
          {doubt}
        </p>
      )}
    </div>
  );
}
