import { LEAST_ANSWERS, type Reaction } from '@urvek/core';

export function ResultOf({ result: { delay, delaysS, missed, falsePresses } }: { result: Reaction }) {
  return (
    <section aria-label="What was learned" data-delay={delay?.reactionS}>
      <h2>What was learned</h2>
      {delay ? (
        <p>
          You press <strong className="figure">{delay.reactionS.toFixed(3)} s</strong> after a dropout begins,
          ± <span className="figure">{delay.spreadS.toFixed(3)} s</span>. At walking pace that is{' '}
          <span className="figure">{(1.4 * delay.reactionS).toFixed(1)} m</span>; positions are corrected by
          it.
        </p>
      ) : (
        <p>Too few answers: at least {LEAST_ANSWERS} are needed. What was in force stays.</p>
      )}
      <p>
        Answered {delaysS.length}, missed {missed}, pressed for nothing {falsePresses}.
      </p>
    </section>
  );
}
