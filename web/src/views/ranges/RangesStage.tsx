import { kindOf } from '@urvek/core';
import { reachBoard, type JudgementView, type ReachBoard as Board, type ReachCell } from '@urvek/study';
import { Download } from 'lucide-react';
import { useMemo } from 'react';
import { base } from '../../api/client.ts';
import { Later } from '../../components/Later.tsx';
import { BoardToCome } from '../../components/BoardToCome.tsx';
import { useCurves, useJudgement } from '../../api/study.ts';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { LensBar } from '../../components/LensBar.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { useLens, useSelected, type Lens } from '../../state/lens.ts';
import { BoardLegend } from './BoardLegend.tsx';
import { CellDetail } from './CellDetail.tsx';
import { RangesTold } from './RangesTold.tsx';
import { ReachBoard } from './ReachBoard.tsx';
import * as phrases from './phrases.ts';

/** Who reaches how far, where: the reach board, and the cell that is selected. */
export function RangesStage(workspace: Ready) {
  const { setup } = workspace.comparison;
  const [lens] = useLens();
  const [referenceId, setReference] = useSelected('against');
  const [wanted, select] = useSelected('cell');
  const criterion = lens.criterion ?? setup.plan.criterion;
  const { data, error } = useJudgement(workspace, lens.criterion, lens.side);
  // The board first: curves are of the cell below it.
  const { data: curves } = useCurves(workspace, lens.criterion, lens.side, data !== undefined);
  const board = useMemo(
    () => data && looked(reachBoard({ setup, ranges: data.ranges, criterion, referenceId }), lens),
    [data, setup, criterion, referenceId, lens],
  );
  const cells = board?.rows.flatMap((r) => r.cells) ?? [];
  const selected = cells.find((c) => c.id === wanted) ?? (data && mostWanting(cells, data));
  const row = board?.rows.find((r) => selected && r.cells.includes(selected));
  const range = row && data?.ranges.find((r) => r.path.id === selected?.path.id && r.kindId === row.kindId);
  return (
    <Stage
      title={phrases.ranges}
      lead={phrases.whoReachesHowFarWhere2}
      actions={
        <a className="btn" href={base.intervalsCsv(workspace.id, criterion, lens.side)} download>
          <Download aria-hidden size={16} />
          {phrases.intervalsAsCsv}
        </a>
      }
    >
      <LensBar setup={setup}>
        <label className="flex items-center gap-1.5 text-[0.87rem] text-faint">
          {phrases.ratioTo}
          <select
            className="pill"
            value={referenceId ?? ''}
            onChange={(e) => setReference(e.target.value === '' ? undefined : e.target.value)}
          >
            <option value="">{phrases.firstOfEachKind}</option>
            {board?.rows.map((r) => (
              <option key={r.subjectId} value={r.subjectId}>
                {r.subject}
              </option>
            ))}
          </select>
        </label>
      </LensBar>
      {error && <Trouble error={error} />}
      {!data && !error && <BoardToCome what={phrases.theEstimates} rows={setup.products.length} rowPx={52} />}
      {board && board.rows.length === 0 && (
        <Empty title={phrases.nothingToCompareYet}>{phrases.enterProductsInKitEveryOne}</Empty>
      )}
      {board && board.rows.length > 0 && board.paths.length === 0 && (
        <Empty title={phrases.noPathYet}>{phrases.enterAPathInPathsEvery}</Empty>
      )}
      {board && cells.length > 0 && (
        <>
          <ReachBoard board={board} selected={selected?.id} onSelect={select} />
          <BoardLegend />
        </>
      )}
      {selected && row && (
        <RangesTold cell={selected} kindName={kindOf(row.kindId).name}>
          {range && range.walks.length > 0 && data && (
            <Later waiting={<Loading what={phrases.theCurves} />}>
              {() => (
                <CellDetail
                  key={range.id}
                  workspace={workspace}
                  range={range}
                  curves={curves?.find((c) => c.id === range.id)}
                  judged={data}
                />
              )}
            </Later>
          )}
        </RangesTold>
      )}
    </Stage>
  );
}

/** The rows and columns that the lens leaves. */
const looked = ({ paths, rows }: Board, { kindId, pathId, productId }: Lens): Board => {
  const left = (id: string): boolean => pathId === undefined || id === pathId;
  return {
    paths: paths.filter((p) => left(p.id)),
    rows: rows
      .filter((r) => (kindId ?? r.kindId) === r.kindId && (productId ?? r.productId) === r.productId)
      .map((r) => ({ ...r, cells: r.cells.filter((c) => left(c.path.id)) })),
  };
};

/** What most wants a decision: a claim that is undecided there, else the coarsest, else the first that was walked. */
function mostWanting(cells: readonly ReachCell[], { verdicts }: JudgementView): ReachCell | undefined {
  const walked = cells.filter((c) => c.walks > 0);
  const undecided = walked.find((c) =>
    verdicts.some(
      (v) => v.verdict.outcome === 'undecided' && v.path?.id === c.path.id && v.subject === c.subject,
    ),
  );
  return undecided ?? walked.find((c) => c.state === 'brackets') ?? walked[0] ?? cells[0];
}
