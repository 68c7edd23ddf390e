import type { StateBand, WalkRow } from '@urvek/study';
import { line, type Scene } from '../scene.ts';
import { stateShapes } from '../tape/tape.ts';
import * as phrases from './phrases.ts';

const [TOP, BAR] = [2, 12];

/** A walk in a line: its bands of state on the way out, on the scale of its path. */
export function walkBand(
  { product, label, lengthM }: WalkRow,
  bands: readonly StateBand[],
  width: number,
): Scene {
  const x = (m: number): number => 1 + (Math.min(m, lengthM) / Math.max(lengthM, 1e-9)) * (width - 2);
  return {
    width,
    height: TOP + BAR + 3,
    title: phrases.walk(product, label),
    groups: [
      {
        id: 'bands',
        title: undefined,
        shapes: [
          line(x(0), TOP + BAR, x(lengthM), TOP + BAR, 'lane'),
          ...bands.flatMap((b) =>
            stateShapes(b.state, x(b.fromM), Math.max(x(b.toM), x(b.fromM) + 2), TOP, BAR),
          ),
        ],
      },
    ],
  };
}
