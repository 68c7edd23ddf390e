import { LENGTH_UNITS, metresTo, parseLength } from '@urvek/core';
import { BadInput } from './badInput.ts';

/** The `convert` command: from the length as entered, never from a rounded one. @throws BadInput */
export function convert(text: string, to: string): string {
  const unit = LENGTH_UNITS.find((u) => u === to);
  if (!unit) throw new BadInput(`--to ${to}: not a unit of length; there are ${LENGTH_UNITS.join(', ')}`);
  try {
    return `${Number(metresTo(parseLength(text).valueM, unit).toPrecision(12))} ${unit}\n`;
  } catch (error) {
    throw new BadInput((error as RangeError).message);
  }
}
