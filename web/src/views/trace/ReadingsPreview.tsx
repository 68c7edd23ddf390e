import { QUANTITY_UNIT } from '@urvek/core';
import type { PlacedReading } from './fileReadings.ts';
import * as phrases from './phrases.ts';

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
            ? phrases.noConnection
            : `${Number(body.value.toPrecision(4))} ${QUANTITY_UNIT[body.quantity]}`}
          {byPing ? '' : `, ${body.direction}`}
        </li>
      ))}
    </ul>
    <p className="text-[0.87rem] text-faint">
      {inside.length > SHOWN && phrases.andMore(inside.length - SHOWN)}
      {outside > 0 && phrases.lieOutsideTheWalkOrCannot(outside)}
    </p>
  </>
);
