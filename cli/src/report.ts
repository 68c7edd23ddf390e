import { NOTHING_WITHHELD } from '@urvek/contract';
import { LENGTH_UNITS } from '@urvek/core';
import { REPORT_FORMS, reportHtml, reportOf, reportText, sceneToSvg } from '@urvek/draw';
import { findingsCsv, Study, walksCsv, withhold } from '@urvek/study';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { BadInput } from './badInput.ts';
import { comparisonOf } from './comparison.ts';
import { readInput } from './readInput.ts';

const fileName = (name: string): string =>
  name
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase();

/** Days as everywhere the same: by UTC. */
const day = (ms: number): string => new Date(ms).toISOString().slice(0, 10);

/**
 * The `report` command: writes the page, its pictures and its tables; prints what it wrote. @throws BadInput
 */
export async function report(
  file: string,
  {
    out,
    unit: unitName,
    form: formName,
    private: withPrivate,
  }: { out: string; unit: string; form: string; private?: true },
): Promise<string> {
  const unit = LENGTH_UNITS.find((u) => u === unitName);
  if (!unit)
    throw new BadInput(`--unit ${unitName}: not a unit of length; there are ${LENGTH_UNITS.join(', ')}`);
  const form = REPORT_FORMS.find((f) => f === formName);
  if (!form) throw new BadInput(`--form ${formName}: there are ${REPORT_FORMS.join(', ')}`);
  const whole = comparisonOf(await readInput(file), file);
  const { comparison, setup, walks } = withPrivate
    ? whole
    : withhold(whole, whole.setup.report?.withheld ?? NOTHING_WITHHELD).file;
  const study = Study.ofLogs(setup, walks);
  const judged = study.judgement();
  const document = reportOf(
    { title: comparison.title, question: comparison.question, setup, findings: study.all, judged, unit, day },
    form,
  );
  const figures = document.sections.flatMap((s) => s.blocks.flatMap((b) => (b.kind === 'figure' ? [b] : [])));
  const files: [string, string][] = [
    ['report.html', reportHtml(document)],
    ...(form === 'short' ? [['report.txt', reportText(document)] as [string, string]] : []),
    ...figures.map((f): [string, string] => [`${fileName(f.name)}.svg`, sceneToSvg(f.scene)]),
    ['findings.csv', findingsCsv(setup, judged)],
    ['walks.csv', walksCsv(setup, study.findings)],
  ];
  try {
    await mkdir(out, { recursive: true });
    for (const [name, content] of files) await writeFile(join(out, name), content);
  } catch (error) {
    throw new BadInput(`${out} cannot be written: ${(error as Error).message}`);
  }
  return `${files.map(([name]) => join(out, name)).join('\n')}\n`;
}
