import type { TapeGround } from '../tape/tape.ts';
import { line, path, rect, type Scene } from '../scene.ts';
import * as phrases from './phrases.ts';

const [HEIGHT, TOP, BAR] = [22, 6, 10];

/** A path in a line: legs by what they lead through, what stands across, and its points; all of a list on one scale. */
export function smallTape(name: string, ground: TapeGround, mostM: number, width: number): Scene {
  const x = (m: number): number => 2 + (Math.min(m, mostM) / mostM) * (width - 4);
  return {
    width,
    height: HEIGHT,
    title:
      `${name}: ${phrases.countedLegs(ground.legs.length)}, ${ground.obstructions.length} across, ` +
      `${ground.checkpoints.length} points`,
    groups: [
      {
        id: 'ground',
        title: undefined,
        shapes: [
          rect(x(0), TOP, x(ground.lengthM) - x(0), BAR, 'tape'),
          ...ground.legs.map((l) => rect(x(l.fromM), TOP, x(l.toM) - x(l.fromM), BAR, `leg-${l.exposure}`)),
          path(`M${x(0)} ${TOP - 4}V${TOP + BAR + 4}`, 'bracket'),
          ...ground.obstructions.map((o) => rect(x(o.atM) - 1.5, TOP - 3, 3, BAR + 6, 'obstruction')),
          ...ground.checkpoints.map((c) => line(x(c.atM), TOP + BAR, x(c.atM), TOP + BAR + 5, 'tick')),
        ],
      },
    ],
  };
}
