import { kindOf } from '@urvek/core';
import type { AcrossPaths, RangeView } from '@urvek/study';
import { ForestPicture } from './ForestPicture.tsx';
import type { Entry } from './ratiosParts.tsx';
import * as phrases from './phrases.ts';

/** Does the advantage hold in the wagon shed as in the open? One line a path, and all paths together. */
export function Forest({ across, ranges }: { across: AcrossPaths; ranges: readonly RangeView[] }) {
  const own = ranges.filter((r) => r.kindId === across.kindId && r.summary.n > 0);
  return (
    <section
      className="sheet mb-4 p-4"
      aria-label={phrases.acrossPaths(kindOf(across.kindId).name)}
      data-forest
    >
      <h2>{phrases.acrossPathsDoesTheAdvantageHold(kindOf(across.kindId).name)}</h2>
      {across.summary.productRatios.map((all) => {
        const entries: Entry[] = [
          ...own.map((r): Entry => {
            const ratio = r.summary.productRatios.find(
              (x) => x.numerator === all.numerator && x.denominator === all.denominator,
            );
            return {
              label: r.path.name,
              ratio: ratio?.estimate?.ratio,
              ends: ratio?.withScale95,
              n: ratio ? ratio.walks.join(' and ') : '0',
            };
          }),
          {
            label: phrases.allPaths,
            ratio: all.estimate?.ratio,
            ends: all.withScale95,
            n: all.walks.join(' and '),
          },
        ];
        return (
          <ForestPicture
            key={`${all.numerator}/${all.denominator}`}
            title={phrases.over(all.numerator, all.denominator)}
            entries={entries}
          />
        );
      })}
      <p>{interactionText(across)}</p>
    </section>
  );
}

function interactionText({ summary: { interaction } }: AcrossPaths): string {
  if (!interaction) return phrases.whetherTheAdvantageDependsOnThe;
  // By F, calibrated for few walks; χ² finds one where there is none.
  const value = interaction.pCalibrated ?? 1;
  const p = value < 0.001 ? 'p < 0.001' : `p = ${value.toFixed(3)}`;
  return value < 0.05 ? phrases.theAdvantageDependsOnThePath(p) : phrases.noSignThatTheAdvantageDepends(p);
}
