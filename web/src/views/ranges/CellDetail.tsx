import { oneWaySentences, textsOf, thinnessOf } from '@urvek/draw';
import { rangeTitle, type JudgementView, type PathCurves, type RangeView } from '@urvek/study';
import type { ReactNode } from 'react';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Loading } from '../../components/States.tsx';
import { Views, type View } from '../../components/Views.tsx';
import { CellCurves } from './CellCurves.tsx';
import type { Shown } from './cellDetailParts.ts';
import { CellRatios } from './CellRatios.tsx';
import { CellReadings } from './CellReadings.tsx';
import { CellStands } from './CellStands.tsx';
import { CellWalks } from './CellWalks.tsx';
import { Forest } from './Forest.tsx';
import { NoMetres } from './NoMetres.tsx';
import * as phrases from './phrases.ts';

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
    <section className="sheet p-3" aria-label={phrases.rangesOn2(title)}>
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

function viewsOf(of: Shown): View[] {
  const { range, curves, judged, workspace } = of;
  const walked = range.summary.n > 0;
  const thin = textsOf(thinnessOf(workspace.comparison.setup, range));
  const across = judged.across.find((a) => a.kindId === range.kindId);
  const stands = curves && (curves.matrix.cells.length > 0 || curves.rungs.length > 0);
  const view = (id: string, name: string, shown: boolean | undefined, draw: () => ReactNode): View[] =>
    shown ? [{ id, name, draw }] : [];
  return [
    {
      id: 'walks',
      name: phrases.walks,
      draw: () => (walked ? <CellWalks {...of} /> : <NoMetres range={range} />),
    },
    ...view('ratios', phrases.ratios, walked, () => <CellRatios {...of} />),
    ...view('across', phrases.allPaths2, across !== undefined, () => (
      <Forest across={across as NonNullable<typeof across>} ranges={judged.ranges} />
    )),
    ...view('curves', phrases.curves, walked, () =>
      curves ? <CellCurves {...of} curves={curves} /> : <Loading what={phrases.theCurves} />,
    ),
    ...view('readings', phrases.readings2, curves && curves.sets.length > 0, () => <CellReadings {...of} />),
    ...view('stands', phrases.stands, stands, () => <CellStands {...of} />),
    ...view('weak', phrases.weakPoints(thin.length), thin.length > 0, () => (
      <ul className="list-disc pl-5">
        {thin.map((t) => (
          <li key={t}>{t}</li>
        ))}
      </ul>
    )),
  ];
}
