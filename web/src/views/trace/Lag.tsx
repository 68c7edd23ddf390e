import { DEFAULT_DELAY, type WalkEvent } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { useWriting } from './useWriting.ts';
import * as phrases from './phrases.ts';

/** The delay by which what was noticed is moved back; adjusted by a correction, never in place. */
export function Lag({ finding, log }: { finding: Finding; log: readonly WalkEvent[] }) {
  const { begin } = finding.trace;
  const now = begin.body.delay ?? DEFAULT_DELAY;
  const [reaction, setReaction] = useState('');
  const [spread, setSpread] = useState('');
  const { write } = useWriting(finding);
  const valid = [reaction, spread].every((v) => v.trim() !== '' && Number(v) >= 0 && Number(v) <= 10);
  const adjust = (): Promise<void> => {
    const { deviceId, seq } = log.find((e) => e.kind === 'begin') ?? begin;
    return write(
      'correction',
      {
        amends: { deviceId, seq },
        action: 'retime',
        reason: phrases.delayOfSForTheWhole(reaction),
        delay: { reactionS: Number(reaction), spreadS: Number(spread) },
      },
      phrases.lagCorrected,
      begin.time.walkS,
    );
  };
  return (
    <section className="py-1" aria-label={phrases.lag}>
      <h2>{phrases.lag}</h2>
      <p className="mt-1">
        {phrases.whatWasNoticedIsMovedBack}
        <span className="figure">
          {now.reactionS} ± {now.spreadS} s
        </span>
        {begin.body.delay ? '' : phrases.theUsualOne}
        {begin.body.playoutDelayS === undefined ? (
          phrases.aPlayoutDelayIsNotStated
        ) : (
          <>
            {phrases.andAPlayoutDelayOf}
            <span className="figure">{begin.body.playoutDelayS} s</span>.
          </>
        )}
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <Field
          className="w-28"
          label={phrases.reaction}
          suffix="s"
          inputMode="decimal"
          value={reaction}
          onChange={(e) => setReaction(e.target.value)}
        />
        <Field
          className="w-28"
          label={phrases.spread}
          suffix="s"
          inputMode="decimal"
          value={spread}
          onChange={(e) => setSpread(e.target.value)}
        />
        <button type="button" className="btn" disabled={!valid} onClick={() => void adjust()}>
          {phrases.correctIt}
        </button>
      </div>
    </section>
  );
}
