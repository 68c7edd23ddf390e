import type { LengthUnit } from '@urvek/core';
import type { ReachCell } from '@urvek/study';
import { reachFigures, reachStrip, STRIP_PX } from '../board/reachStrip.ts';
import type { ReachScale } from '../board/reachScale.ts';
import { placeGroup, text, type Group, type Scene } from '../scene.ts';

const [ROW, HEAD] = [46, 24];

/** Cells one below the other, each with its figures over its strip: a column of the reach board for a card. */
export function reachBlock(
  heading: string,
  cells: readonly ReachCell[],
  scale: ReachScale,
  unit: LengthUnit,
): Scene {
  return {
    width: scale.width,
    height: HEAD + cells.length * ROW,
    title: heading,
    groups: [
      { id: 'heading', title: undefined, shapes: [text(0, 15, heading, 'strong')] },
      ...cells.flatMap((cell, i) => rowOf(cell, HEAD + i * ROW, scale, unit)),
    ],
  };
}

function rowOf(cell: ReachCell, top: number, scale: ReachScale, unit: LengthUnit): Group[] {
  const { value, beside } = reachFigures(cell, unit);
  const strip = reachStrip(cell, scale, unit);
  return [
    {
      id: cell.id,
      title: strip.title,
      shapes: [
        text(0, top + 16, cell.subject, 'label'),
        text(
          scale.width,
          top + 16,
          [value, beside && `(${beside})`].filter(Boolean).join(' '),
          'strong',
          'end',
        ),
      ],
    },
    ...strip.groups.map((g) =>
      placeGroup({ ...g, id: `${cell.id}-${g.id}` }, 0, top + ROW - STRIP_PX - 4, 1),
    ),
  ];
}
