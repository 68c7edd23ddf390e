import type { RigSettings } from './rig.ts';
import * as phrases from './phrases.ts';

/** Hours a battery carries its load; undefined where either is not stated. */
export function runTimeH({ batteryWh, loadW }: Pick<RigSettings, 'batteryWh' | 'loadW'>): number | undefined {
  if (batteryWh === undefined || loadW === undefined) return undefined;
  if (!(batteryWh >= 0)) throw new RangeError(`invalid batteryWh: ${batteryWh}`);
  if (!(loadW > 0)) throw new RangeError(`invalid loadW: ${loadW}`);
  return batteryWh / loadW;
}

/** What is wrong with feeding an input from a battery; undefined when nothing is, or not enough is known. */
export function inputTrouble({
  batteryV,
  inputMinV,
  inputMaxV,
}: Pick<RigSettings, 'batteryV' | 'inputMinV' | 'inputMaxV'>): string | undefined {
  if (batteryV === undefined) return undefined;
  if (inputMaxV !== undefined && batteryV > inputMaxV)
    return phrases.theBatterysVAreAboveThe(batteryV, inputMaxV);
  if (inputMinV !== undefined && batteryV < inputMinV)
    return phrases.theBatterysVAreBelowThe(batteryV, inputMinV);
  return undefined;
}
