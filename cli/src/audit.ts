import { Study } from '@urvek/study';
import { comparisonOf } from './comparison.ts';
import { readInput } from './readInput.ts';

/** The `audit` command: what both audits find, the weightiest first. @throws BadInput */
export async function audit(file: string, { json }: { json?: true }): Promise<string> {
  const { setup, walks } = comparisonOf(await readInput(file), file);
  const { audits } = Study.ofLogs(setup, walks).judgement();
  if (json) {
    const findings = audits.map(
      ({ audit, rule, title, path, products, what, sizeDb, size, mend, acknowledged }) => ({
        ...{ audit, rule, title, path, products, what, size_db: sizeDb ?? null, size: size ?? null, mend },
        acknowledged: acknowledged ?? null,
      }),
    );
    return `${JSON.stringify({ findings }, null, 1)}\n`;
  }
  if (audits.length === 0) return 'nothing found\n';
  const lines = audits.flatMap(({ title, path, what, size, mend, acknowledged }) => [
    `${title} (${path})`,
    `  ${what}${size === undefined ? '' : `; could be worth: ${size}`}`,
    `  ${acknowledged === undefined ? mend : `left, because: ${acknowledged}`}`,
  ]);
  return `${lines.join('\n')}\n`;
}
