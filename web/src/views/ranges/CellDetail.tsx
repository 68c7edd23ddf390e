import { pathLengthM } from '@urvek/core';
import {
  comesBackSentences,
  oneWaySentences,
  pairSentences,
  textsOf,
  thinnessOf,
  wallSentences,
  withoutMetres,
} from '@urvek/draw';
import { rangeTitle, type JudgementView, type PathCurves, type RangeView } from '@urvek/study';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Field, Tick } from '../../components/Field.tsx';
import type { Ready } from '../../components/Frame.tsx';
import { Loading } from '../../components/States.tsx';
import { Views, type View } from '../../components/Views.tsx';
import { useUnit } from '../../state/unit.ts';
import { Availability } from './Availability.tsx';
import { EstimateTable } from './Estimates.tsx';
import { FigureCurves } from './FigureCurves.tsx';
import { Forest } from './Forest.tsx';
import { HitsCurves } from './HitsCurves.tsx';
import { HoldCurves } from './HoldCurves.tsx';
import { HowEstimated } from './HowEstimated.tsx';
import { Hysteresis } from './Hysteresis.tsx';
import { Matrix } from './Matrix.tsx';
import { OutingList } from './OutingList.tsx';
import { RangesTape } from './RangesTape.tsx';
import { Ratios } from './Ratios.tsx';
import { Rungs } from './Rungs.tsx';
import { SaveTape } from './SaveTape.tsx';
import { Units } from './Units.tsx';

/** Exponent for ratios in dB until another is chosen: beyond the break point of two rays over ground. */
const USUAL_EXPONENT = 4;

/** A kind of product on a path, all that is known of it: one view at a time, and the address says which. */
export function CellDetail({
  workspace,
  range,
  curves,
  judged,
}: {
  workspace: Ready;
  range: RangeView;
  curves: PathCurves | undefined;
  judged: JudgementView;
}) {
  const title = rangeTitle(workspace.comparison.setup, range);
  return (
    <section className="sheet p-3" aria-label={`Ranges on ${title}`}>
      <h2>
        {title}: {range.criterion}
        {range.side && `, ${range.side}`}
      </h2>
      {oneWaySentences(curves?.matrix.oneWay ?? []).map(({ text }) => (
        <p key={text} role="status" className="mt-1 border-l-4 border-lost pl-2" data-one-way>
          {text}
        </p>
      ))}
      <Views views={viewsOf({ workspace, range, curves, judged })} />
    </section>
  );
}

interface Shown {
  readonly workspace: Ready;
  readonly range: RangeView;
  readonly curves: PathCurves | undefined;
  readonly judged: JudgementView;
}

function viewsOf(of: Shown): View[] {
  const { range, curves, judged, workspace } = of;
  const walked = range.summary.n > 0;
  const thin = textsOf(thinnessOf(workspace.comparison.setup, range));
  const across = judged.across.find((a) => a.kindId === range.kindId);
  const stands = curves && (curves.matrix.cells.length > 0 || curves.rungs.length > 0);
  const view = (id: string, name: string, shown: boolean | undefined, draw: () => ReactNode): View[] =>
    shown ? [{ id, name, draw }] : [];
  return [
    { id: 'walks', name: 'Walks', draw: () => (walked ? <Walks {...of} /> : <NoMetres range={range} />) },
    ...view('ratios', 'Ratios', walked, () => <RatioView {...of} />),
    ...view('across', 'All paths', across !== undefined, () => (
      <Forest across={across as NonNullable<typeof across>} ranges={judged.ranges} />
    )),
    ...view('curves', 'Curves', walked, () =>
      curves ? <Curves {...of} curves={curves} /> : <Loading what="the curves" />,
    ),
    ...view('readings', 'Readings', curves && curves.sets.length > 0, () => <ReadingView {...of} />),
    ...view('stands', 'Stands', stands, () => <Stands {...of} />),
    ...view('weak', `Weak points (${thin.length})`, thin.length > 0, () => (
      <ul className="list-disc pl-5">
        {thin.map((t) => (
          <li key={t}>{t}</li>
        ))}
      </ul>
    )),
  ];
}

function Walks({ workspace, range }: Shown) {
  const navigate = useNavigate();
  const [area, setArea] = useState(false);
  const openWalk = (group: string): void => {
    if (group.startsWith('walk-')) void navigate(`/c/${workspace.id}/trace/${group.slice(5)}`);
  };
  return (
    <>
      <RangesTape range={range} onPoint={openWalk} />
      <p className="text-[0.87rem] text-faint">
        Brackets join the last place that held and the first that failed; what was noticed on the move is
        drawn as wide as its place is known (two standard uncertainties). A walk opens its trace, by a click
        or by Enter.
      </p>
      <div className="flex flex-wrap items-center gap-4">
        <SaveTape range={range} />
        <Tick label="areas too" checked={area} onChange={(e) => setArea(e.target.checked)} />
      </div>
      <EstimateTable range={range} area={area} />
      <OutingList range={range} id={workspace.id} />
      <Units summary={range.summary} />
      <HowEstimated summary={range.summary} />
    </>
  );
}

const NoMetres = ({ range }: { range: RangeView }) => (
  <>
    <p>No walk here has this outcome in metres.</p>
    <ul className="list-disc pl-5" data-without-metres>
      {textsOf([...withoutMetres(range), ...pairSentences(range)]).map((t) => (
        <li key={t}>{t}</li>
      ))}
    </ul>
  </>
);

function RatioView({ range }: Shown) {
  const [exponent, setExponent] = useState(USUAL_EXPONENT);
  return (
    <>
      <Field
        inline
        className="w-96 max-w-full flex-wrap"
        label="How fast the level falls (exponent)"
        help="For decibels: 2 in free space, 4 far over ground."
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
      <Ratios range={range} exponent={exponent} />
    </>
  );
}

function Curves({ workspace, range, curves }: Shown & { curves: PathCurves }) {
  const [unit] = useUnit();
  const lengthM = pathLengthM(range.path);
  const name = `${rangeTitle(workspace.comparison.setup, range)}, ${range.criterion}`;
  const told = textsOf([...wallSentences(range, unit), ...comesBackSentences(range, unit)]);
  const read = curves.hits.length > 0 || curves.throughput.curves.length > 0;
  return (
    <>
      {told.length > 0 && (
        <ul className="mb-2 list-disc pl-5" data-comes-back>
          {told.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </ul>
      )}
      <div className="grid gap-4 lg:grid-cols-2">
        <HoldCurves curves={curves.hold} lengthM={lengthM} name={name} />
        {curves.hits.length > 0 && <HitsCurves curves={curves.hits} lengthM={lengthM} name={name} />}
        {!read && curves.availability.some((a) => a.bins.length > 0) && (
          <Availability products={curves.availability} name={range.path.name} />
        )}
      </div>
      <Hysteresis workspace={workspace} range={range} />
    </>
  );
}

const ReadingView = ({ workspace, range, curves }: Shown) =>
  curves && (
    <FigureCurves
      curves={curves}
      range={range}
      lengthM={pathLengthM(range.path)}
      name={`${rangeTitle(workspace.comparison.setup, range)}, ${range.criterion}`}
    />
  );

const Stands = ({ range, curves }: Shown) => (
  <>
    {curves && curves.rungs.length > 0 && <Rungs rungs={curves.rungs} />}
    {curves && curves.matrix.cells.length > 0 && <Matrix matrix={curves.matrix} range={range} />}
  </>
);
