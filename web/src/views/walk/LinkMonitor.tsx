import type { SimulatedGear, Tick } from '@urvek/core';
import * as phrases from './phrases.ts';

/** What an instrument would show: nothing below what the receiver still reads. */
export function LinkMonitor({
  tick,
  simulatedGear,
  onLevel,
}: {
  tick: Tick;
  simulatedGear: SimulatedGear;
  onLevel: (levelDbm: number | undefined) => void;
}) {
  const levelDbm =
    tick.marginDb > MONITOR_FLOOR_DB ? Math.round(simulatedGear.requiredDbm + tick.marginDb) : undefined;
  return (
    <div>
      <dt className="text-[0.87rem] text-faint">{phrases.linkMonitor}</dt>
      <dd>
        <button
          type="button"
          className="figure min-h-8 border border-ink px-1.5 whitespace-nowrap"
          aria-label={phrases.logTheLevel(levelDbm === undefined ? phrases.noReading : phrases.dbm(levelDbm))}
          onClick={() => onLevel(levelDbm)}
        >
          {levelDbm === undefined ? phrases.none : phrases.dbm(levelDbm)}
        </button>
      </dd>
    </div>
  );
}

/** A monitor reads a little below what the link needs, dB. */
const MONITOR_FLOOR_DB = -4;
