import { HowMade } from '../../components/HowMade.tsx';
import { INTERVAL_METHOD, pathLengthM } from '@urvek/core';
import {
  comesBackSentences,
  oneWaySentences,
  pairSentences,
  textsOf,
  thinnessOf,
  wallSentences,
  withoutMetres,
} from '@urvek/draw';
import { rangeTitle, type PathCurves, type RangeView } from '@urvek/study';
import { useNavigate } from 'react-router';
import type { Ready } from '../../components/Frame.tsx';
import { Loading } from '../../components/States.tsx';
import { useUnit } from '../../state/unit.ts';
import { WhenSeen } from '../../components/WhenSeen.tsx';
import { Availability } from './Availability.tsx';
import { EstimateTable } from './Estimates.tsx';
import { HitsCurves } from './HitsCurves.tsx';
import { HoldCurves } from './HoldCurves.tsx';
import { Hysteresis } from './Hysteresis.tsx';
import { Matrix } from './Matrix.tsx';
import { OutingList } from './OutingList.tsx';
import { RangesTape } from './RangesTape.tsx';
import { Ratios } from './Ratios.tsx';
import { Rungs } from './Rungs.tsx';
import { SaveTape } from './SaveTape.tsx';
import { Units } from './Units.tsx';
import { FigureCurves } from './FigureCurves.tsx';

export function PathSection({
  workspace,
  range,
  curves,
  exponent,
  area,
}: {
  workspace: Ready;
  range: RangeView;
  curves: PathCurves | undefined;
  exponent: number;
  area: boolean;
}) {
  const navigate = useNavigate();
  const { path, summary, criterion, side } = range;
  const { setup } = workspace.comparison;
  const openWalk = (group: string): void => {
    if (group.startsWith('walk-')) void navigate(`/c/${workspace.id}/trace/${group.slice(5)}`);
  };
  const thin = textsOf(thinnessOf(setup, range));
  const [unit] = useUnit();
  const told = textsOf([...wallSentences(range, unit), ...comesBackSentences(range, unit)]);
  const unmeasured = textsOf([...withoutMetres(range), ...(summary.n === 0 ? pairSentences(range) : [])]);
  const title = rangeTitle(setup, range);
  const name = `${title}, ${criterion}`;
  const lengthM = pathLengthM(path);
  return (
    <section className="sheet mb-4 p-4" aria-label={`Ranges on ${title}`}>
      <h2>
        {title}: {criterion}
        {side && `, ${side}`}
      </h2>
      {summary.n === 0 ? (
        <>
          <p className="mt-2">No walk here has this outcome in metres.</p>
          <ul className="list-disc pl-5" data-without-metres>
            {unmeasured.map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
        </>
      ) : (
        <>
          {thin.length > 0 && (
            <details className="mt-1 border-l-4 border-degraded pl-3" open={thin.length <= 3}>
              <summary className="cursor-pointer font-bold">What is thin ({thin.length})</summary>
              <ul className="list-disc pl-5">
                {thin.map((t) => (
                  <li key={t}>{t}</li>
                ))}
              </ul>
            </details>
          )}
          <div className="mt-1">
            <RangesTape range={range} onPoint={openWalk} />
          </div>
          <p className="text-[0.85rem] text-faint">
            Brackets join the last place that held and the first that failed; what was noticed on the move is
            drawn as wide as its place is known (two standard uncertainties). An open arrow is a bound. Bar:
            95 % interval of the median; diamond: its estimate. A walk opens its trace, by a click or by
            Enter.
          </p>
          <SaveTape range={range} />
          <EstimateTable range={range} area={area} />
          <Ratios range={range} exponent={exponent} />
          <OutingList range={range} id={workspace.id} />
          <Units summary={summary} />
          {told.length > 0 && (
            <ul className="mt-2 list-disc pl-5" data-comes-back>
              {told.map((t) => (
                <li key={t}>{t}</li>
              ))}
            </ul>
          )}
          <Hysteresis workspace={workspace} range={range} />
        </>
      )}
      {oneWaySentences(curves?.matrix.oneWay ?? []).map(({ text }) => (
        <p key={text} role="status" className="mt-1 border-l-4 border-lost pl-2" data-one-way>
          {text}
        </p>
      ))}
      {!curves && <Loading what="the curves" />}
      {curves && (
        <WhenSeen>
          <div className="mt-3 grid gap-4 lg:grid-cols-2">
            {summary.n > 0 && <HoldCurves curves={curves.hold} lengthM={lengthM} name={name} />}
            {curves.hits.length > 0 && <HitsCurves curves={curves.hits} lengthM={lengthM} name={name} />}
            {curves.sets.length > 0 && (
              <FigureCurves curves={curves} range={range} lengthM={lengthM} name={name} />
            )}
            {curves.availability.some((a) => a.bins.length > 0) &&
              curves.hits.length === 0 &&
              curves.throughput.curves.length === 0 && (
                <Availability products={curves.availability} name={path.name} />
              )}
          </div>
          {curves.rungs.length > 0 && <Rungs rungs={curves.rungs} />}
          {curves.matrix.cells.length > 0 && <Matrix matrix={curves.matrix} range={range} />}
        </WhenSeen>
      )}
      {summary.n > 0 && (
        <p className="mt-3 text-[0.85rem] text-faint">
          Lognormal model, interval-censored, one spread for the medians of all products unless theirs may
          differ
          {summary.sigma !== undefined && (
            <>
              {' '}
              (walks differ by a factor of{' '}
              <span className="figure">{Math.exp(summary.sigma).toFixed(2)}</span>, one standard deviation)
            </>
          )}
          ; what 9 of 10 walks hold to by each product’s own spread, its ends by the noncentral t: below 29
          walks it is a statement of the model. Intervals: {INTERVAL_METHOD}. All of it speaks for this path.
          Walks of one outing share what that day was: <HowMade of="outings" what="what outings tell" />.
        </p>
      )}
    </section>
  );
}
