import type { Rig } from '@urvek/contract';
import { inputTrouble, runTimeH } from '@urvek/core';
import * as phrases from './phrases.ts';

export function BatteryLine({ rig }: { rig: Rig }) {
  const trouble = inputTrouble(rig);
  const hours =
    rig.loadW !== undefined && rig.loadW > 0 && rig.batteryWh !== undefined ? runTimeH(rig) : undefined;
  if (trouble)
    return (
      <p role="status" className="mt-1 border-l-4 border-lost pl-2">
        {trouble}
      </p>
    );
  return hours === undefined ? null : (
    <p className="mt-1 text-[0.87rem] text-faint">
      {phrases.theBatteryCarriesTheLoadFor}
      <span className="figure">{hours.toFixed(1)} h</span>
      {phrases.lessInTheCold}
    </p>
  );
}
