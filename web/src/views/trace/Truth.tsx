import type { Setup } from '@urvek/contract';
import { replay, scoreLog, trueLosses, type Path, type Reaction, type WalkEvent } from '@urvek/core';
import { simulatedGearOf, type Finding } from '@urvek/study';
import { useState } from 'react';
import { Length } from '../../components/Length.tsx';
import * as phrases from './phrases.ts';

interface Revealed {
  readonly score: Reaction;
  readonly losses: ReturnType<typeof trueLosses>;
}

/** A simulated walk knows what really happened: shown when asked for, and the log held against it. */
export function Truth({
  setup,
  finding,
  log,
}: {
  setup: Setup;
  finding: Finding;
  log: readonly WalkEvent[];
}) {
  const [revealed, setRevealed] = useState<Revealed>();
  const product = setup.products.find((p) => p.id === finding.header.productId);
  const rig = product?.rigs.find((r) => r.id === finding.header.rigId);
  if (finding.trace.begin.body.simulatedSeed === undefined || !product || !rig) return null;
  const reveal = (): void => {
    const ticks = replay(log, simulatedGearOf(product, rig), finding.path as Path);
    if (ticks) setRevealed({ score: scoreLog(log, ticks), losses: trueLosses(ticks) });
  };
  return (
    <section className="py-1" aria-label={phrases.truthOfTheSimulatedWalk}>
      <h2>{phrases.whatTheSimulatedGearReallyPlayed}</h2>
      {!revealed ? (
        <p className="mt-1">
          <button type="button" className="btn" onClick={reveal}>
            {phrases.revealIt}
          </button>{' '}
          <span className="text-faint">{phrases.madeUpGearKnowsItsOwn}</span>
        </p>
      ) : (
        <>
          <p className="mt-1">
            {phrases.lossesOfHalfASecondOr}
            <span className="figure">{revealed.losses.length}</span>;{' '}
            <span className="figure">{revealed.score.delaysS.length}</span>
            {phrases.wereLogged}
            <span className="figure">{revealed.score.missed}</span>
            {phrases.missed}
            <span className="figure">{revealed.score.falsePresses}</span>
            {phrases.pressedForNothing}
            {revealed.score.delaysS.length > 0 && (
              <>
                {phrases.lateBy}
                <span className="figure">
                  {(
                    revealed.score.delaysS.reduce((a, b) => a + b, 0) / revealed.score.delaysS.length
                  ).toFixed(2)}{' '}
                  s
                </span>
                {phrases.onTheAverage}
              </>
            )}
          </p>
          <ul
            className="mt-1 max-h-40 overflow-y-auto text-[0.87rem]"
            role="group"
            tabIndex={0}
            aria-label={phrases.trueLosses}
          >
            {revealed.losses.map((l) => (
              <li key={l.fromS}>
                <span className="figure">{phrases.toS(l.fromS.toFixed(1), l.toS.toFixed(1))}</span>
                {phrases.firstAt}
                <Length m={l.fromM} />
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
