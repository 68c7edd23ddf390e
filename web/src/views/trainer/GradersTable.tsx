import { clipPairs, GRADES, gradersAgreement, gradingOf, type GradeThreshold } from '@urvek/core';
import type { Grader } from '../../field/graders.ts';
import type { ClipKind } from './clip.ts';
import { CLIPS_SAID } from './clipsSaid.ts';
import * as phrases from './phrases.ts';

const share = (level: number): string => `${Math.round(100 * level)} %`;

/** "5 to 12 %": held at the one, not at the other. */
function thresholdText({ heldAt, failedAt }: GradeThreshold): string {
  if (failedAt === undefined) return phrases.notReached;
  return heldAt === undefined || heldAt >= failedAt
    ? phrases.by(share(failedAt))
    : phrases.to(Math.round(100 * heldAt), share(failedAt));
}

/** What was learned of each person on this device, and how far they agree. */
export function GradersTable({ of, graders }: { of: ClipKind; graders: readonly Grader[] }) {
  const below = GRADES.toSorted((a, b) => b - a).slice(0, -1);
  const couples = graders.flatMap((a, i) => graders.slice(i + 1).map((b) => [a, b] as const));
  return (
    <section className="sheet mt-3 max-w-4xl p-4" aria-label={phrases.gradersOf(CLIPS_SAID[of])}>
      <h2>{phrases.gradersOf(CLIPS_SAID[of])}</h2>
      <table className="w-full text-base" aria-label={phrases.whereEachSetsTheGradesOf(CLIPS_SAID[of])}>
        <thead>
          <tr className="border-b border-ink text-left">
            <th scope="col">{phrases.shareLostGradedBelow}</th>
            {below.map((g) => (
              <th scope="col" key={g} className="text-right">
                {g}
              </th>
            ))}
            <th scope="col" className="text-right">
              {phrases.sameClipTwice}
            </th>
          </tr>
        </thead>
        <tbody>
          {graders.map(({ person, graded }) => {
            const { thresholds, wobble } = gradingOf(graded);
            return (
              <tr key={person} className="border-b border-rule">
                <th scope="row" className="text-left">
                  {person}
                </th>
                {thresholds.map((t) => (
                  <td key={t.below} className="figure pl-3 text-right whitespace-nowrap">
                    {thresholdText(t)}
                  </td>
                ))}
                <td className="figure pl-3 text-right whitespace-nowrap">
                  {wobble === undefined ? phrases.onceOnly : phrases.gradesApart(wobble.toFixed(1))}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {couples.map(([a, b]) => {
        const agreed = gradersAgreement(clipPairs(a.graded, b.graded));
        return (
          <p key={`${a.person} ${b.person}`} className="mt-2">
            {phrases.and(a.person, b.person)}
            {agreed ? (
              <>
                {phrases.weightedKappa}
                <strong className="figure">{agreed.kappa.toFixed(2)}</strong>
                {agreed.interval95 && (
                  <span className="figure">
                    {phrases.to2(agreed.interval95[0].toFixed(2), agreed.interval95[1].toFixed(2))}
                  </span>
                )}
                {phrases.overClips1IsTheSame(agreed.graded)}
              </>
            ) : (
              phrases.oneGradeThroughoutNothingTellsThem
            )}
          </p>
        );
      })}
    </section>
  );
}
