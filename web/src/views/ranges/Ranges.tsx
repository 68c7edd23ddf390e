import { WhenSeen } from '../../components/WhenSeen.tsx';
import { type LengthUnit, INTERVAL_METHOD, pathLengthM, SIDES, type Side } from '@urvek/core';
import type { WantedCriterion } from '@urvek/contract';
import {
  rangeLanes,
  separationGround,
  sceneToSvg,
  tapeScene,
  thinnessOf,
  type TapeOptions,
} from '@urvek/draw';
import { rangeTitle, type PathCurves, type RangeView } from '@urvek/study';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { useCurves, useJudgement } from '../../api/queries.ts';
import { SaveAs } from '../../components/Chart.tsx';
import { CriterionChoice } from '../../components/CriterionChoice.tsx';
import { Choice, Field, Tick } from '../../components/Field.tsx';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useUnit } from '../../state/unit.ts';
import { Availability } from './Availability.tsx';
import { EstimateTable } from './Estimates.tsx';
import { HitsCurves } from './HitsCurves.tsx';
import { HoldCurves } from './HoldCurves.tsx';
import { Hysteresis } from './Hysteresis.tsx';
import { Matrix } from './Matrix.tsx';
import { Forest, Ratios } from './Ratios.tsx';
import { ThroughputCurves } from './ThroughputCurves.tsx';

export const Ranges = () => <WithWorkspace>{(workspace) => <RangesStage {...workspace} />}</WithWorkspace>;

/** Exponent for ratios in dB until another is chosen: beyond the break point of two rays over ground. */
const USUAL_EXPONENT = 4;

function RangesStage(workspace: Ready) {
  const { comparison } = workspace;
  const [criterion, setCriterion] = useState<WantedCriterion>(comparison.setup.plan.criterion);
  const [side, setSide] = useState<Side>();
  const [exponent, setExponent] = useState(USUAL_EXPONENT);
  const [area, setArea] = useState(false);
  const { data, error } = useJudgement(workspace, criterion, side);
  const { data: curves } = useCurves(workspace, criterion, side);
  const ranges = data?.ranges.filter((r) => r.walks.length > 0);
  return (
    <Stage
      title="Ranges"
      lead="How far each holds, in separation, with what each walk says and what all of them bound."
      actions={
        <a className="btn" href={base.intervalsCsv(workspace.id, criterion, side)} download>
          <Download aria-hidden size={16} />
          Intervals as CSV
        </a>
      }
    >
      <div className="mb-3 flex flex-wrap items-end gap-x-5 gap-y-2">
        <CriterionChoice value={criterion} onChange={setCriterion} />
        <Choice
          className="w-44"
          label="Direction"
          value={side ?? ''}
          onChange={(e) => setSide(SIDES.find((s) => s === e.target.value))}
        >
          <option value="">as walked</option>
          {SIDES.map((s) => (
            <option key={s} value={s}>
              {s}
            </option>
          ))}
        </Choice>
        <Field
          className="w-36"
          label="Exponent for dB"
          type="number"
          min={1}
          max={8}
          step="any"
          value={exponent}
          onChange={(e) => {
            const n = Number(e.target.value);
            if (n > 0) setExponent(n);
          }}
        />
        <Tick label="areas too" checked={area} onChange={(e) => setArea(e.target.checked)} />
      </div>
      {error && <Trouble error={error} />}
      {!data && !error && <Loading what="the estimates" />}
      {ranges?.length === 0 && (
        <Empty title="No walk yet">Estimates begin with the first finished walk.</Empty>
      )}
      {ranges?.map((range) => (
        <PathSection
          key={range.id}
          workspace={workspace}
          range={range}
          curves={curves?.find((c) => c.id === range.id)}
          exponent={exponent}
          area={area}
        />
      ))}
      {data?.across.map((across) => (
        <Forest key={across.kindId} across={across} ranges={data.ranges} />
      ))}
    </Stage>
  );
}

const lanesOf = ({ summary, walks }: RangeView, each: boolean, unit: LengthUnit) =>
  summary.fitted.filter((c) => c.walks > 0).flatMap((cell) => rangeLanes(cell, each ? walks : [], unit));

/** So many walks are drawn at once; more of them when they are asked for. */
const DRAWN_WALKS = 60;

/** The picture that answers "how far is each good for" on one path. */
export function RangesTape({
  range,
  claims,
  walks = true,
  onPoint,
}: {
  range: RangeView;
  claims?: TapeOptions['claims'];
  walks?: boolean;
  onPoint?: (groupId: string) => void;
}) {
  const [unit] = useUnit();
  const many = range.walks.length > DRAWN_WALKS;
  const [all, setAll] = useState(false);
  return (
    <>
      <Tape
        title={`Ranges on ${range.path.name}, ${range.criterion}`}
        ground={separationGround(range.path)}
        measure="separation"
        lanes={lanesOf(range, walks && (all || !many), unit)}
        claims={claims}
        onPoint={onPoint}
      />
      {walks && many && (
        <button type="button" className="btn no-print" aria-pressed={all} onClick={() => setAll(!all)}>
          {all ? 'Estimates only' : `Each of the ${range.walks.length} walks too`}
        </button>
      )}
    </>
  );
}

/** Width of a tape for publication, px. */
const PUBLISHED_PX = 1160;

export function SaveTape({ range, claims }: { range: RangeView; claims?: TapeOptions['claims'] }) {
  const [unit] = useUnit();
  const scene = () =>
    tapeScene({
      title: `Ranges on ${range.path.name}, ${range.criterion}`,
      ground: separationGround(range.path),
      measure: 'separation',
      unit,
      lanes: lanesOf(range, true, unit),
      claims,
      width: PUBLISHED_PX,
    });
  return (
    <SaveAs
      name={`ranges ${range.path.name} ${range.criterion}`}
      svg={() => sceneToSvg(scene())}
      size={() => {
        const { width, height } = scene();
        return [width, height];
      }}
    />
  );
}

function PathSection({
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
  const thin = thinnessOf(setup, range);
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
        <p className="mt-2">No walk here has this outcome.</p>
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
            Brackets join the last place that held and the first that failed, widened by two standard
            uncertainties; an open arrow is a bound. Bar: 95 % interval of the median; diamond: its estimate.
            A click on a walk opens its trace.
          </p>
          <SaveTape range={range} />
          <EstimateTable range={range} area={area} />
          <Ratios range={range} exponent={exponent} />
          <Hysteresis workspace={workspace} range={range} />
        </>
      )}
      {!curves && <Loading what="the curves" />}
      {curves && (
        <WhenSeen>
          <div className="mt-3 grid gap-4 lg:grid-cols-2">
            {summary.n > 0 && <HoldCurves curves={curves.hold} lengthM={lengthM} name={name} />}
            {curves.hits.length > 0 && <HitsCurves curves={curves.hits} lengthM={lengthM} name={name} />}
            {curves.throughput.curves.length > 0 && (
              <ThroughputCurves found={curves.throughput} lengthM={lengthM} name={name} />
            )}
            {curves.availability.some((a) => a.bins.length > 0) &&
              curves.hits.length === 0 &&
              curves.throughput.curves.length === 0 && (
                <Availability products={curves.availability} name={path.name} />
              )}
          </div>
          {curves.matrix.cells.length > 0 && <Matrix matrix={curves.matrix} range={range} />}
        </WhenSeen>
      )}
      {summary.n > 0 && (
        <p className="mt-3 text-[0.85rem] text-faint">
          Lognormal model, interval-censored, one spread for all products
          {summary.sigma !== undefined && (
            <>
              {' '}
              (walks differ by a factor of{' '}
              <span className="figure">{Math.exp(summary.sigma).toFixed(2)}</span>, one standard deviation)
            </>
          )}
          . Intervals: {INTERVAL_METHOD}. All of it speaks for this path.
        </p>
      )}
    </section>
  );
}
