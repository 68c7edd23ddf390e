import { formatLength, type LengthUnit } from '@urvek/core';
import { line, path, text, type Scene, type Shape } from '../scene.ts';
import type { ReachScale } from './reachScale.ts';
import * as phrases from './phrases.ts';

const [HEIGHT, MIDDLE, LETTER_PX] = [24, 12, 7.2];

/**
 * The claims of one product on the scale of all; of figures that would run into each other the later is left to the
 * title.
 */
export function claimLane(
  name: string,
  claims: readonly { readonly atM: number; readonly text: string }[],
  scale: ReachScale,
  unit: LengthUnit,
): Scene {
  let free = 0;
  const shapes = [...claims]
    .sort((a, b) => a.atM - b.atM)
    .flatMap(({ atM, text: said }): Shape[] => {
      const [x, label] = [scale.x(atM), formatLength(atM, unit)];
      const wide = label.length * LETTER_PX + 8;
      const left = x + wide > scale.width;
      const from = left ? x - wide : x;
      const fits = from >= free;
      if (fits) free = x + (left ? 4 : wide);
      return [
        line(x, 3, x, HEIGHT - 3, 'claim'),
        ...(said.startsWith('up to')
          ? [path(`M${x} ${MIDDLE}h-7M${x - 7} ${MIDDLE - 3}l-4 3l4 3`, 'claim')]
          : []),
        ...(fits
          ? [
              text(
                left ? x - 5 - (said.startsWith('up to') ? 10 : 0) : x + 5,
                MIDDLE + 4,
                label,
                'claim-text',
                left ? 'end' : 'start',
              ),
            ]
          : []),
      ];
    });
  return {
    width: scale.width,
    height: HEIGHT,
    title: `${name}: ${claims.map((c) => c.text).join('; ') || phrases.noClaimOfDistance}`,
    groups: [
      {
        id: 'claims',
        title: undefined,
        shapes: [
          ...scale.ticks.map(({ atM }) => line(scale.x(atM), 3, scale.x(atM), HEIGHT - 3, 'grid')),
          ...shapes,
        ],
      },
    ],
  };
}
