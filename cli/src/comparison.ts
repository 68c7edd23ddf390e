import { InterchangeError, readInterchange, type Interchange } from '@urvek/contract';
import { BadInput } from './badInput.ts';

/** A comparison in Urvek's own format. @throws BadInput */
export function comparisonOf(text: string, file: string): Interchange {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    throw new BadInput(`${file}: not JSON: ${(error as Error).message}`);
  }
  try {
    return readInterchange(value);
  } catch (error) {
    if (error instanceof InterchangeError) throw new BadInput(`${file}: ${error.message}`);
    throw error;
  }
}
