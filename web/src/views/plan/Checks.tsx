import type { Setup } from '@urvek/contract';
import { attenuatorDb, pathLengthM, predictPath, type Path } from '@urvek/core';
import {
  claimOf,
  distanceClaims,
  OUTRUN,
  plannedPaths,
  plannedRigs,
  planTroubles,
  pathLinkOf,
} from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import { localMinutes } from '../../state/clock.ts';
import { Balance } from './Balance.tsx';

export function Checks({ setup }: { setup: Setup }) {
  const { products, paths } = setup;
  const troubles = planTroubles(setup, localMinutes);
  const claims = products.flatMap((p) => distanceClaims(p).map((c) => ({ product: p.name, ...claimOf(c) })));
  const expected = plannedPaths(setup).flatMap((path) =>
    plannedRigs(setup).flatMap(({ product, rig }) => {
      const link = pathLinkOf(product, rig);
      const reachM =
        link &&
        predictPath(path as Path, link, 2).events.find((e) => e.criterion === 'first dropout')?.medianM;
      if (!link) return [];
      return [
        {
          key: `${path.id}-${rig.id}`,
          text:
            reachM === undefined
              ? `${product.name} on ${path.name}: predicted to hold to the end; this will be a bound.`
              : `${product.name} on ${path.name}: predicted ${reachM.toFixed(0)} m, the path is ${(pathLengthM(path) / reachM).toFixed(1)}× that${pathLengthM(path) < OUTRUN * reachM ? `, short of ${OUTRUN}×` : ''}.`,
        },
      ];
    }),
  );
  return (
    <section className="sheet grid min-w-0 content-start gap-4 p-4" aria-label="Checks of the plan">
      <Balance setup={setup} />
      <div>
        <h2>Can it be done?</h2>
        {troubles.length === 0 ? (
          <p>Nobody and nothing is needed twice at once, and the batteries last.</p>
        ) : (
          <ul className="mt-1 grid gap-1">
            {troubles.map((t) => (
              <li key={t} className="border-l-4 border-lost pl-2">
                {t}
              </li>
            ))}
          </ul>
        )}
      </div>
      <div>
        <h2>Is the path long enough?</h2>
        <ul className="mt-1 grid gap-1.5">
          {paths.flatMap((path) =>
            claims
              .filter((c) => c.condition === 'unstated' || c.condition === path.condition)
              .map((claim) => {
                const ratio = pathLengthM(path) / claim.distanceM;
                return (
                  <li key={`${path.id}-${claim.product}-${claim.entered}`}>
                    {path.name} is <span className="figure">{ratio.toFixed(1)}×</span> {claim.product}’s claim
                    of {claim.entered} (<Length m={claim.distanceM} />
                    ):{' '}
                    {ratio >= OUTRUN
                      ? 'enough.'
                      : `${ratio >= 1 ? `short of ${OUTRUN}×; a walk that holds to the end will give a bound` : 'it can never settle it'}. An attenuator of ${attenuatorDb(pathLengthM(path), OUTRUN * claim.distanceM, 2).toFixed(0)} dB would do instead (exponent 2).`}
                  </li>
                );
              }),
          )}
        </ul>
        {claims.length === 0 && <p className="text-faint">No claim is entered.</p>}
        <ul className="mt-1 grid gap-1.5">
          {expected.map(({ key, text }) => (
            <li key={key}>{text}</li>
          ))}
        </ul>
      </div>
      <p className="text-faint">
        Each walk begins at the zero point with a baseline. One walk gives an interval; the estimate begins
        with two.
      </p>
    </section>
  );
}
