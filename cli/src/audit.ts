import { Study } from '@urvek/study';
import { comparisonOf } from './comparison.ts';
import { readInput } from './readInput.ts';

/** The `audit` command: what both audits find, the weightiest first. @throws BadInput */
export async function audit(file: string, { json }: { json?: true }): Promise<string> {
  const { setup, walks } = comparisonOf(await readInput(file), file);
  const { audits } = Study.ofLogs(setup, walks).judgement();
  if (json) {
    return (
      `${JSON.stringify({ findings: audits.map((a) => ({ audit: a.audit, rule: a.rule, title: a.title, path: a.path, products: a.products, what: a.what, size_db: a.sizeDb ?? null, size: a.size ?? null, mend: a.mend, acknowledged: a.acknowledged ?? null })) }, null, 1)}` +
      `\n`
    );
  }
  return audits.length === 0
    ? 'nothing found\n'
    : `${audits.map((a) => [`${a.title} (${a.path})`, `  ${a.what}${a.size === undefined ? '' : `; could be worth: ${a.size}`}`, `  ${a.acknowledged === undefined ? a.mend : `left, because: ${a.acknowledged}`}`].join('\n')).join('\n')}` +
        `\n`;
}
