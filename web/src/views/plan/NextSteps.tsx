import type { Setup } from '@urvek/contract';
import type { PlanCell } from '@urvek/study';
import { useJudgement } from '../../api/study.ts';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Length } from '../../components/Length.tsx';
import { usePlanned } from './usePlanned.ts';
import * as phrases from './phrases.ts';

/** Of one cell, after each walk: where to look next, and what would decide what is open. */
export function NextSteps({ workspace, setup, cell }: { workspace: Ready; setup: Setup; cell: PlanCell }) {
  const all = usePlanned(workspace, 'nextPoints', setup) ?? [];
  const { data } = useJudgement(workspace);
  const points = all.filter((p) => p.product.id === cell.product.id && p.path.id === cell.path.id);
  const open =
    data?.verdicts.flatMap((v) =>
      v.verdict.next === undefined ||
      v.product.id !== cell.product.id ||
      (v.path && v.path.id !== cell.path.id)
        ? []
        : [
            {
              key: `${v.claim.id}-${v.path?.id ?? ''}`,
              what: `${v.product.name}, “${v.claim.entered}”`,
              next: v.verdict.next,
            },
          ],
    ) ?? [];
  if (points.length === 0 && open.length === 0) return null;
  return (
    <section aria-label={phrases.whatNext}>
      <h3>{phrases.whatNext}</h3>
      <ul className="mt-1 grid gap-1">
        {points.map(({ product, path, heldM, failedM, nextM }) => (
          <li key={`${product.id}-${path.id}`}>
            {phrases.onHeldTo(product.name, path.name)}
            <Length m={heldM} />
            {failedM === undefined ? (
              phrases.neverFailedGoFarther
            ) : (
              <>
                {phrases.failedBy}
                <Length m={failedM} />;{' '}
                {nextM === undefined ? (
                  phrases.theBracketIsAsNarrowAs
                ) : (
                  <>
                    {phrases.nextPoint}
                    <strong>
                      <Length m={nextM} />
                    </strong>
                    {phrases.theirGeometricMean}
                  </>
                )}
              </>
            )}
          </li>
        ))}
        {open.map(({ key, what, next }) => (
          <li key={key}>
            <strong>{what}:</strong> {next}
          </li>
        ))}
      </ul>
    </section>
  );
}
