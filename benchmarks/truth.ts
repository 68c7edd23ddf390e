// npm run truth: what the simulated gear of the demo truly does, over 20,000 walks each, written beside the
// demo for its tests.
import { trueFirstDropout, type Path } from '@urvek/core';
import { simulatedGearOf } from '@urvek/study';
import { writeFileSync } from 'node:fs';
import { PLANTED_FAULTS, SLATE_WORKS } from '../server/src/demo/slateWorks.ts';

const WALKS = 20_000;
/** First dropout is what these are judged on; the others are measured at stands. */
const KINDS = ['microphone', 'video-link'];

const truth = SLATE_WORKS.paths
  .filter((p) => p.id === 'incline' || p.id === 'tips')
  .flatMap((path) =>
    SLATE_WORKS.products
      .filter((p) => KINDS.includes(p.kindId))
      .map((product) => {
        const [rig] = product.rigs;
        if (!rig) throw new RangeError(`invalid product: ${product.id} has no rig`);
        const { medianM, p10M } = trueFirstDropout(
          simulatedGearOf(product, rig),
          path as Path,
          WALKS,
          `truth/${path.id}/${product.id}`,
        );
        return {
          product: product.id,
          path: path.id,
          criterion: 'first dropout',
          median_m: medianM,
          p10_m: p10M,
        };
      }),
  );
writeFileSync(
  new URL('../server/src/demo/slateWorks.truth.json', import.meta.url),
  `${JSON.stringify({ walks: WALKS, planted: PLANTED_FAULTS, truth }, null, 1)}\n`,
);
