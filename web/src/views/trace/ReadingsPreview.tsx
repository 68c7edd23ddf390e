import { QUANTITY_UNIT } from '@urvek/core';
import type { PlacedReading } from './fileReadings.ts';

const SHOWN = 12;

/** What would be added to the log, the first of it one by one. */
export const ReadingsPreview = ({
  inside,
  outside,
  byPing,
}: {
  inside: readonly PlacedReading[];
  /** So many are left out. */
  outside: number;
  byPing: boolean;
}) => (
  <>
    <ul className="figure text-[0.87rem]" data-preview>
      {inside.slice(0, SHOWN).map(({ walkS, body }, i) => (
        <li key={i}>
          {walkS.toFixed(1)} s: {body.quantity}{' '}
          {body.value === undefined
            ? 'no connection'
            : `${Number(body.value.toPrecision(4))} ${QUANTITY_UNIT[body.quantity]}`}
          {byPing ? '' : `, ${body.direction}`}
        </li>
      ))}
    </ul>
    <p className="text-[0.87rem] text-faint">
      {inside.length > SHOWN && `and ${inside.length - SHOWN} more. `}
      {outside > 0 && `${outside} lie outside the walk, or cannot be, and are left out.`}
    </p>
  </>
);
