import { readFile } from 'node:fs/promises';
import { BadInput } from './badInput.ts';

/** The text of a file that a command was given. @throws BadInput */
export async function readInput(file: string): Promise<string> {
  try {
    return await readFile(file, 'utf8');
  } catch (error) {
    throw new BadInput(`${file} cannot be read: ${(error as Error).message}`);
  }
}
