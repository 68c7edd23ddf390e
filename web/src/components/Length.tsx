import { formatLength } from '@urvek/core';
import { useUnit } from '../state/unit.ts';

/** A length in the reader's unit, with its other measure behind it: "118 m (387 ft)". */
export function Length({ m, both = false }: { m: number; both?: boolean }) {
  const [unit] = useUnit();
  const other = unit === 'm' || unit === 'km' ? 'ft' : 'm';
  return (
    <span className="figure whitespace-nowrap">
      {formatLength(m, unit)}
      {both && <span className="text-faint"> ({formatLength(m, other)})</span>}
    </span>
  );
}
