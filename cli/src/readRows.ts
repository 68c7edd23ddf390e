import { FormatError } from '@urvek/core';
import { BadInput } from './badInput.ts';
import { readInput } from './readInput.ts';

/** The rows of a table in a text; what is wrong is named with the file. @throws BadInput */
export function rowsOf<T>(file: string, text: string, read: (text: string) => T[]): T[] {
  try {
    const rows = read(text);
    if (rows.length === 0) throw new BadInput(`${file}: no row`);
    return rows;
  } catch (error) {
    if (error instanceof FormatError) throw new BadInput(`${file}, ${error.message}`);
    throw error;
  }
}

/** The rows of a file. @throws BadInput */
export const readRows = async <T>(file: string, read: (text: string) => T[]): Promise<T[]> =>
  rowsOf(file, await readInput(file), read);
