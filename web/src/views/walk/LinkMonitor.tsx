import type { SimulatedGear, Tick } from '@urvek/core';

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
      <dt className="text-[0.87rem] text-faint">Link monitor</dt>
      <dd>
        <button
          type="button"
          className="figure min-h-8 border border-ink px-1.5 whitespace-nowrap"
          aria-label={`Log the level: ${levelDbm === undefined ? 'no reading' : `${levelDbm} dBm`}`}
          onClick={() => onLevel(levelDbm)}
        >
          {levelDbm === undefined ? 'none' : `${levelDbm} dBm`}
        </button>
      </dd>
    </div>
  );
}

/** A monitor reads a little below what the link needs, dB. */
const MONITOR_FLOOR_DB = -4;
