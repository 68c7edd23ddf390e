import {
  fitExponent,
  fittedLevelDbm,
  predictPath,
  type LevelReading,
  type Path,
  type PathLink,
} from '@urvek/core';
import { COLOUR } from '@urvek/draw';
import { useMemo, useState } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { Field } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { axis, frame } from '../../components/chartStyle.ts';
import * as phrases from './phrases.ts';

const LIMIT_BYTES = 5_000_000;

/** Exponent and shadowing of a path from logged levels, beside what was predicted. */
export function LevelFit({
  path,
  link,
  logged,
}: {
  path: Path;
  link: PathLink | undefined;
  logged: readonly LevelReading[];
}) {
  const [imported, setReadings] = useState<LevelReading[]>();
  const readings = imported ?? logged;
  const [sensitivity, setSensitivity] = useState(link?.requiredDbm ?? -90);
  const fit = useMemo(
    () => (readings.length > 0 ? fitExponent(readings, sensitivity) : undefined),
    [readings, sensitivity],
  );
  const option = useMemo(() => {
    if (!fit) return undefined;
    const farM = Math.max(...readings.map((r) => r.distanceM));
    const nearM = Math.min(...readings.map((r) => r.distanceM));
    const along = Array.from({ length: 60 }, (_, i) => nearM * (farM / nearM) ** (i / 59));
    const predicted = link
      ? predictPath(path, link, 1)
          .points.filter((p) => p.separationM >= nearM && p.separationM <= farM)
          .map((p) => [p.separationM, p.marginDb + link.requiredDbm])
      : [];
    return {
      ...frame({ left: 62 }),
      xAxis: axis(phrases.separationM, { type: 'log', min: nearM, max: farM }),
      yAxis: axis(phrases.levelDbm, { nameGap: 42, scale: true }),
      series: [
        {
          type: 'scatter',
          name: 'measured',
          symbol: 'circle',
          symbolSize: 6,
          itemStyle: { color: COLOUR.ink },
          data: readings.flatMap((r) => ('levelDbm' in r ? [[r.distanceM, r.levelDbm]] : [])),
        },
        {
          type: 'scatter',
          name: phrases.lostBelowTheSensitivity,
          symbol: 'path://M0 0L10 0L5 8Z',
          symbolSize: 9,
          itemStyle: { color: COLOUR.lost },
          data: readings.flatMap((r) => ('lost' in r ? [[r.distanceM, sensitivity]] : [])),
        },
        {
          type: 'line',
          name: 'fitted',
          symbol: 'none',
          lineStyle: { color: COLOUR.estimate, width: 2 },
          itemStyle: { color: COLOUR.estimate },
          data: along.map((m) => [m, fittedLevelDbm(fit, m)]),
        },
        {
          type: 'line',
          name: 'predicted',
          symbol: 'none',
          lineStyle: { color: COLOUR.claim, width: 1.5, type: 'dashed' },
          itemStyle: { color: COLOUR.claim },
          data: predicted,
        },
      ],
    };
  }, [fit, readings, sensitivity, path, link]);
  return (
    <details className="mt-2">
      <summary className="cursor-pointer font-bold">{phrases.howFastTheLevelFallsHere}</summary>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <FilePick
          label={phrases.levelsAsCsv}
          hint={phrases.loggedLevelsACsvWithDistance}
          accept=".csv,text/csv"
          kind="levels"
          limitBytes={LIMIT_BYTES}
          kept={phrases.theLevelsShownAreAsThey}
          take={setReadings}
        />
        <Field
          className="w-40"
          label={phrases.sensitivity}
          suffix="dBm"
          type="number"
          step="any"
          value={sensitivity}
          onChange={(e) => setSensitivity(Number(e.target.value))}
        />
        <p className="text-[0.87rem] text-faint">
          {phrases.columns}
          <code>{phrases.distanceMLevelDbm}</code>
          {phrases.anEmptyLevelWasLostBelow}
          {logged.length > 0 && !imported && phrases.shownTheLevelsLoggedInWalks(logged.length)}
        </p>
      </div>
      {readings.length > 0 && !fit && (
        <p role="status" className="mt-1">
          {phrases.theseReadingsDoNotMakeA(readings.length)}
        </p>
      )}
      {fit && option && (
        <>
          <p className="mt-1" data-fit>
            {phrases.itFallsWithTheExponent}
            <strong className="figure">{fit.exponent.toFixed(2)}</strong>
            {phrases.andVariesFromPlaceToPlace}
            <strong className="figure">{phrases.db(fit.shadowingSdDb.toFixed(1))}</strong>
            {phrases.shadowingFromReadingsOfThemLost(fit.readings, fit.censored)}
          </p>
          <Chart
            option={option}
            label={phrases.levelOverSeparationReadingsFittedExponent(fit.readings, fit.exponent.toFixed(2))}
          />
        </>
      )}
    </details>
  );
}
