import type { Comparison } from '@urvek/contract';
import { kindOf } from '@urvek/core';
import {
  CARD_SHAPES,
  cardScene,
  intervalLegend,
  rangeLanes,
  reachBlock,
  scaleOfBoard,
  sceneToSvg,
  separationGround,
  SIMULATED,
  tapeScene,
  type CardShape,
  type Scene,
} from '@urvek/draw';
import { reachBoard, type JudgementView, type ReachBoard } from '@urvek/study';
import { useState } from 'react';
import { SaveAs } from '../../components/Chart.tsx';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { Picture } from '../../components/Picture.tsx';
import { useLens } from '../../state/lens.ts';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

const SHOWN = ['result', 'tape', 'board'] as const;

type Shown = (typeof SHOWN)[number];

/** Widths that a tape and a column of the board are drawn at before they are fitted, px. */
const TAPE_PX: Readonly<Record<CardShape, number>> = { '16:9': 820, '1:1': 640, '9:16': 480 };

const COLUMN_PX = 300;

/** The result, the tape or the board, in the frame that is asked for. */
export function CardMaker({
  comparison,
  judged,
  simulated,
}: {
  comparison: Comparison;
  judged: JudgementView;
  simulated: boolean;
}) {
  const { setup } = comparison;
  const [lens] = useLens();
  const [unit] = useUnit();
  const [shown, setShown] = useState<Shown>('result');
  const [shape, setShape] = useState<CardShape>('16:9');
  const [title, setTitle] = useState(comparison.question || comparison.title);
  const board = reachBoard({ setup, ranges: judged.ranges, criterion: setup.plan.criterion });
  const range =
    judged.ranges.find(
      (r) =>
        r.summary.fitted.length > 0 &&
        (lens.kindId ?? r.kindId) === r.kindId &&
        (lens.pathId ?? r.path.id) === r.path.id,
    ) ?? judged.ranges[0];
  if (!range) return null;
  const walks = judged.ranges.reduce((sum, r) => sum + r.walks.length, 0);
  const own = shown === 'board' ? walks : range.walks.length;
  const blocks = (): readonly Scene[] => {
    if (shown === 'board') return columns(board, unit);
    if (shown === 'result') return columns(of(board, range.kindId, range.path.id), unit);
    return [
      tapeScene({
        title: range.path.name,
        ground: separationGround(range.path),
        unit,
        measure: 'separation',
        width: TAPE_PX[shape],
        labelWidth: 130,
        lanes: range.summary.fitted.flatMap((c) => rangeLanes(c, range.walks, unit).slice(0, 1)),
      }),
    ];
  };
  const lead =
    shown === 'board'
      ? phrases.productsByPathsOnOneScale
      : `${kindOf(range.kindId).name}, ${range.path.name} (${range.path.condition}): ${range.criterion}.`;
  const scene = cardScene({
    ...{ shape, title, lead, blocks: blocks() },
    foot: phrases.separationInAStraightLine(phrases.countedWalks(own), intervalLegend),
    simulated: simulated ? SIMULATED : undefined,
  });
  return (
    <>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Choice label={phrases.whatItShows} value={shown} onChange={(e) => setShown(e.target.value as Shown)}>
          <Options of={SHOWN} />
        </Choice>
        <Choice label={phrases.frame} value={shape} onChange={(e) => setShape(e.target.value as CardShape)}>
          <Options of={CARD_SHAPES} />
        </Choice>
        <div className="min-w-72 flex-1">
          <Field
            label={phrases.title}
            value={title}
            maxLength={120}
            onChange={(e) => setTitle(e.target.value)}
          />
        </div>
      </div>
      <div
        className="mt-3 max-w-full border border-ink"
        style={{ width: scene.width / 1.6 }}
        data-card={shape}
      >
        <Picture scene={scene} className="block" />
      </div>
      <SaveAs
        name={`${shown} ${shape} ${title}`}
        svg={() => sceneToSvg(scene)}
        size={() => [scene.width, scene.height]}
        scale={2}
      />
    </>
  );
}

/** Of a board, the rows of one kind on one path. */
const of = ({ paths, rows }: ReachBoard, kindId: string, pathId: string): ReachBoard => ({
  paths: paths.filter((p) => p.id === pathId),
  rows: rows
    .filter((r) => r.kindId === kindId)
    .map((r) => ({ ...r, cells: r.cells.filter((c) => c.path.id === pathId) })),
});

/** Columns in which somebody walked, each for itself. */
function columns(board: ReachBoard, unit: Parameters<typeof scaleOfBoard>[2]): Scene[] {
  const walked = board.paths.filter((p) =>
    board.rows.some((r) => r.cells.some((c) => c.path.id === p.id && c.walks > 0)),
  );
  const scale = scaleOfBoard(board, COLUMN_PX, unit);
  return walked.map((p) =>
    reachBlock(
      `${p.name}, ${p.condition}`,
      board.rows.flatMap((r) => r.cells.filter((c) => c.path.id === p.id && c.state !== 'not planned')),
      scale,
      unit,
    ),
  );
}
