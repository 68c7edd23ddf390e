import type { WantedCriterion } from '@urvek/core';
import { Download } from 'lucide-react';
import { base } from '../../api/client.ts';
import { LongFile } from './LongFile.tsx';
import * as phrases from './phrases.ts';

/** From so many walks on a table may take longer than a second. */
const LONG_WALKS = 300;

/** Files in open formats, without what is withheld. */
export function Files({
  id,
  criterion,
  routes,
  walks,
}: {
  id: string;
  criterion: WantedCriterion;
  routes: boolean;
  /** How many there are: files of many are made while one does something else. */
  walks: number;
}) {
  const tables = [
    ['walks.csv', 'Walks'],
    ['marks.csv', 'Marks'],
    ['readings.csv', 'Readings'],
    ['events.csv', 'Events'],
    ['findings.csv', 'Findings'],
    ...(routes
      ? [
          ['routes.gpx', 'Routes, GPX'],
          ['routes.geojson', 'Routes, GeoJSON'],
          ['routes.kml', 'Routes, KML'],
        ]
      : []),
  ] as const;
  return (
    <details className="no-print sheet mb-3 p-4">
      <summary className="cursor-pointer font-bold">{phrases.filesTheWholeComparisonAndTables}</summary>
      <div className="mt-2 flex flex-wrap gap-2">
        <a className="btn" href={base.wholeFile(id)} download>
          <Download aria-hidden size={16} />
          {phrases.wholeComparisonAsAFile}
        </a>
        <a className="btn" href={base.wholeFile(id, true)} download>
          <Download aria-hidden size={16} />
          {phrases.theSameWithWhatIsPrivate}
        </a>
        <a className="btn" href={base.intervalsCsv(id, criterion)} download>
          <Download aria-hidden size={16} />
          {phrases.intervalsAsCsv}
        </a>
        {tables.map(([name, label]) =>
          walks > LONG_WALKS ? (
            <LongFile
              key={name}
              id={id}
              name={name}
              label={`${label}${name.endsWith('.csv') ? phrases.asCsv : ''}`}
            />
          ) : (
            <a key={name} className="btn" href={base.file(id, name)} download>
              <Download aria-hidden size={16} />
              {label}
              {name.endsWith('.csv') && phrases.asCsv}
            </a>
          ),
        )}
      </div>
      <p className="mt-2 text-[0.87rem] text-faint">{phrases.tablesAreCsvRfc4180With}</p>
    </details>
  );
}
