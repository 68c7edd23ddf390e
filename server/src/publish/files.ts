import { NOTHING_WITHHELD, writeInterchange, type Interchange } from '@urvek/contract';
import {
  writeGeoJson,
  writeGpx,
  writeKml,
  writeWalkIntervals,
  type Side,
  type WantedCriterion,
} from '@urvek/core';
import {
  eventsCsv,
  findingsCsv,
  intervalRows,
  leavingStudy,
  marksCsv,
  readingsCsv,
  routesOf,
  walksCsv,
  withhold,
  type Study,
  type Withholding,
} from '@urvek/study';
import { entriesOf, type Progress } from '../findings/keeper.ts';
import { NotFound, type KeptFile, type Storage } from '../storage/port.ts';

/** Files made from what was found; each leaves out what is to stay private, as the whole file does. */
const FROM_FINDINGS: Readonly<Record<string, (study: Study) => string>> = {
  'walks.csv': ({ setup, findings }) => walksCsv(setup, findings),
  'marks.csv': ({ findings }) => marksCsv(findings),
  'readings.csv': ({ findings }) => readingsCsv(findings),
  'findings.csv': (study) => findingsCsv(study.setup, study.judgement()),
  'routes.gpx': ({ setup, findings }) => writeGpx(routesOf(setup, findings)),
  'routes.kml': ({ setup, findings }) => writeKml(routesOf(setup, findings)),
  'routes.geojson': ({ setup, findings }) => writeGeoJson(routesOf(setup, findings)),
};
const INTERVALS = 'walk-intervals.csv';
const EVENTS = 'events.csv';
/** The whole comparison. */
export const WHOLE = 'comparison.json';
export const FILE_NAMES = [...Object.keys(FROM_FINDINGS), INTERVALS, EVENTS, WHOLE];

export interface FileAsked {
  readonly comparisonId: string;
  readonly name: string;
  /** Of the intervals. */
  readonly criterion?: WantedCriterion;
  readonly side?: Side;
  /** What is to stay private goes along: for whoever owns it. */
  readonly withPrivate?: boolean;
}

/** @throws NotFound for a file that there is none of. */
export async function fileOf(
  storage: Storage,
  asked: FileAsked,
  progress: Progress = async () => {},
): Promise<KeptFile> {
  const { comparisonId, name } = asked;
  if (!FILE_NAMES.includes(name)) throw new NotFound(`no file ${name}; there are ${FILE_NAMES.join(', ')}`);
  if (name === WHOLE)
    return wholeFile(await interchangeOf(storage, comparisonId), asked.withPrivate === true);
  const comparison = await storage.getComparison(comparisonId);
  const { study } = leavingStudy(
    comparison,
    await entriesOf(storage, comparisonId, comparison.setup, progress),
  );
  // Files of simulated walks say so in their names: where their columns are given, there is no other place.
  const mark = study.rows.some((w) => w.simulated) ? 'simulated-' : '';
  if (name === INTERVALS) {
    const criterion = asked.criterion ?? study.setup.plan.criterion;
    const rows = intervalRows(study.findings, criterion, asked.side);
    return csv(`${mark}walk-intervals-${criterion.replaceAll(' ', '-')}.csv`, writeWalkIntervals(rows));
  }
  if (name === EVENTS) {
    const { file } = without(await interchangeOf(storage, comparisonId));
    return csv(`${mark}${name}`, eventsCsv(file.walks));
  }
  const text = (FROM_FINDINGS[name] as (study: Study) => string)(study);
  return name.endsWith('.csv')
    ? csv(`${mark}${name}`, text)
    : { name: `${mark}${name}`, type: 'application/octet-stream', text };
}

/** What the report of a comparison leaves out, for its preview. */
export const withheldOf = async (storage: Storage, comparisonId: string): Promise<Withholding[]> =>
  without(await interchangeOf(storage, comparisonId)).left;

const csv = (name: string, text: string): KeptFile => ({ name, type: 'text/csv', text });

const without = (file: Interchange) => withhold(file, file.setup.report?.withheld ?? NOTHING_WITHHELD);

async function interchangeOf(storage: Storage, id: string): Promise<Interchange> {
  const { title, question, demo, setup } = await storage.getComparison(id);
  return writeInterchange({ id, title, question, simulated: demo }, setup, await storage.walksOf(id));
}

function wholeFile(whole: Interchange, withPrivate: boolean): KeptFile {
  const file = withPrivate ? whole : without(whole).file;
  const name = file.comparison.title.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60);
  return { name: `${name}.urvek.json`, type: 'application/json', text: JSON.stringify(file) };
}
