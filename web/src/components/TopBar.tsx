import { LENGTH_UNITS, type LengthUnit } from '@urvek/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useUnit } from '../state/unit.ts';
import { Options } from './Field.tsx';
import { FieldStatus } from './FieldStatus.tsx';
import { ShutOut } from './ShutOut.tsx';
import * as phrases from './phrases.ts';

/** The head of every page: where one is, what waits on this device, the unit of length. */
export function TopBar({ children }: { children?: ReactNode }) {
  const [unit, setUnit] = useUnit();
  return (
    <>
      <header className="no-print flex items-center gap-4 bg-ink px-4 py-1.5 text-sheet">
        <a
          href="#work"
          className="absolute -top-20 left-2 z-30 bg-sheet px-3 py-2 text-ink focus:top-1"
          onClick={(e) => {
            e.preventDefault();
            document.querySelector<HTMLElement>('main h1')?.focus();
          }}
        >
          {phrases.skipToTheWork}
        </a>
        <Link to="/" className="font-head text-lg font-bold tracking-wide">
          {phrases.urvek}
        </Link>
        <div className="min-w-0 flex-1 truncate">{children}</div>
        <FieldStatus />
        <Link to="/words" className="hidden text-sm underline sm:inline">
          {phrases.words}
        </Link>
        <Link to="/methods" className="hidden text-sm underline sm:inline">
          {phrases.methods}
        </Link>
        <label className="flex items-center gap-1.5 text-sm">
          {phrases.unit}
          <select
            value={unit}
            onChange={(e) => setUnit(e.target.value as LengthUnit)}
            className="border border-sheet bg-ink px-1 py-0.5 text-sheet"
          >
            <Options of={LENGTH_UNITS} />
          </select>
        </label>
      </header>
      <ShutOut />
    </>
  );
}
