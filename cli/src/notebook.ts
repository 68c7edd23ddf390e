import { writeInterchange } from '@urvek/contract';
import { countOf, DISTANCE_METHODS, FormatError, KINDS, LENGTH_UNITS } from '@urvek/core';
import { readNotebook, rowsOfWalks, takeNotebook, writeNotebook, type RowProblem } from '@urvek/study';
import { randomUUID } from 'node:crypto';
import { writeFile } from 'node:fs/promises';
import { BadInput } from './badInput.ts';
import { comparisonOf } from './comparison.ts';
import { readInput } from './readInput.ts';

interface NotebookAsked {
  readonly into?: string;
  readonly out?: string;
  readonly setAside?: true;
  readonly unit?: string;
  readonly method?: string;
  readonly kind?: string;
  readonly csv?: true;
}

/**
 * The `notebook` command: a table into a comparison, or out of one. @throws BadInput with row and column of everything
 * that is wrong, unless those rows are set aside
 */
export async function notebook(file: string, asked: NotebookAsked): Promise<{ out: string; err: string }> {
  const text = await readInput(file);
  if (asked.csv) {
    const { setup, walks } = comparisonOf(text, file);
    return { out: writeNotebook(rowsOfWalks(setup, walks)), err: '' };
  }
  if (asked.into === undefined || asked.out === undefined)
    throw new BadInput('say which comparison it goes into (--into FILE), and where to write it (--out FILE)');
  const comparison = comparisonOf(await readInput(asked.into), asked.into);
  const taken = takeNotebook(comparison.setup, comparison.comparison.id, notebookOf(text, file), {
    unit: oneOf(LENGTH_UNITS, asked.unit, '--unit') ?? 'm',
    method: oneOf(DISTANCE_METHODS, asked.method, '--method'),
    kindId: oneOf(
      KINDS.map((k) => k.id),
      asked.kind,
      '--kind',
    ),
    newId: randomUUID,
    nowMs: Date.now(),
  });
  if (taken.problems.length > 0 && !asked.setAside)
    throw new BadInput(
      `${problemText(file, taken.problems)}Nothing was written. Mend the rows, or take the others with --set-aside.`,
    );
  const walks = [...comparison.walks, ...taken.walks];
  await writeFile(
    asked.out,
    `${JSON.stringify(writeInterchange(comparison.comparison, taken.setup, walks))}\n`,
  );
  const said = [
    `${taken.rows} rows, ${countOf(taken.walks.length, 'walk')} written to ${asked.out}`,
    ...taken.made.map((m) => `made: ${m}; all else of it is not stated`),
    ...taken.notices.map((n) => `row ${n.line}: ${n.what}`),
  ];
  return { out: `${said.join('\n')}\n`, err: problemText(file, taken.problems, 'set aside: ') };
}

function notebookOf(text: string, file: string): ReturnType<typeof readNotebook> {
  try {
    return readNotebook(text);
  } catch (error) {
    if (error instanceof FormatError) throw new BadInput(`${file}: ${error.message}`);
    throw error;
  }
}

const problemText = (file: string, problems: readonly RowProblem[], before = ''): string =>
  problems
    .map(
      ({ line, column, what }) =>
        `${before}${file}, row ${line}${column === undefined ? '' : `, column ${column}`}: ${what}\n`,
    )
    .join('');

function oneOf<T extends string>(
  known: readonly T[],
  given: string | undefined,
  option: string,
): T | undefined {
  if (given === undefined) return undefined;
  const found = known.find((k) => k === given);
  if (!found) throw new BadInput(`${option} ${given}: there are ${known.join(', ')}`);
  return found;
}
