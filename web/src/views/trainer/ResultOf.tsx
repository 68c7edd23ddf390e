import { LEAST_ANSWERS, type Reaction } from '@urvek/core';
import * as phrases from './phrases.ts';

export function ResultOf({ result: { delay, delaysS, missed, falsePresses } }: { result: Reaction }) {
  return (
    <section aria-label={phrases.whatWasLearned} data-delay={delay?.reactionS}>
      <h2>{phrases.whatWasLearned}</h2>
      {delay ? (
        <p>
          {phrases.youPress}
          <strong className="figure">{delay.reactionS.toFixed(3)} s</strong>
          {phrases.afterADropoutBegins}
          <span className="figure">{delay.spreadS.toFixed(3)} s</span>
          {phrases.atWalkingPaceThatIs}
          <span className="figure">{(1.4 * delay.reactionS).toFixed(1)} m</span>
          {phrases.positionsAreCorrectedByIt}
        </p>
      ) : (
        <p>{phrases.tooFewAnswersAtLeastAre(LEAST_ANSWERS)}</p>
      )}
      <p>{phrases.answeredMissedPressedForNothing(delaysS.length, missed, falsePresses)}</p>
    </section>
  );
}
