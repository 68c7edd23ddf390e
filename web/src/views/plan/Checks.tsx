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
import * as phrases from './phrases.ts';

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
              ? phrases.onPredictedToHoldToThe(product.name, path.name)
              : phrases.onPredictedMThePathIs(
                  product.name,
                  path.name,
                  reachM.toFixed(0),
                  (pathLengthM(path) / reachM).toFixed(1),
                  pathLengthM(path) < OUTRUN * reachM ? phrases.shortOf(OUTRUN) : '',
                ),
        },
      ];
    }),
  );
  return (
    <section className="sheet grid min-w-0 content-start gap-4 p-4" aria-label={phrases.checksOfThePlan}>
      <Balance setup={setup} />
      <div>
        <h2>{phrases.canItBeDone}</h2>
        {troubles.length === 0 ? (
          <p>{phrases.nobodyAndNothingIsNeededTwice}</p>
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
        <h2>{phrases.isThePathLongEnough}</h2>
        <ul className="mt-1 grid gap-1.5">
          {paths.flatMap((path) =>
            claims
              .filter((c) => c.condition === 'unstated' || c.condition === path.condition)
              .map((claim) => {
                const ratio = pathLengthM(path) / claim.distanceM;
                return (
                  <li key={`${path.id}-${claim.product}-${claim.entered}`}>
                    {phrases.is(path.name)}
                    <span className="figure">{ratio.toFixed(1)}×</span>
                    {phrases.sClaimOf(claim.product, claim.entered)}
                    <Length m={claim.distanceM} />
                    ):{' '}
                    {ratio >= OUTRUN
                      ? phrases.enough
                      : phrases.anAttenuatorOfDbWouldDo(
                          ratio >= 1 ? phrases.shortOfAWalkThatHolds(OUTRUN) : phrases.itCanNeverSettleIt,
                          attenuatorDb(pathLengthM(path), OUTRUN * claim.distanceM, 2).toFixed(0),
                        )}
                  </li>
                );
              }),
          )}
        </ul>
        {claims.length === 0 && <p className="text-faint">{phrases.noClaimIsEntered}</p>}
        <ul className="mt-1 grid gap-1.5">
          {expected.map(({ key, text }) => (
            <li key={key}>{text}</li>
          ))}
        </ul>
      </div>
      <p className="text-faint">{phrases.eachWalkBeginsAtTheZero}</p>
    </section>
  );
}
