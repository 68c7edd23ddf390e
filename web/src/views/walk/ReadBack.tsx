import { DIRECTIONS, freshWords, scoreReadBack, type Direction } from '@urvek/core';
import { useState } from 'react';
import { Choice, Field, Options } from '../../components/Field.tsx';
import type { PanelProps } from './modesParts.tsx';
import { Touch } from './Touch.tsx';
import * as phrases from './phrases.ts';

const device = {
  uniform: () => (crypto.getRandomValues(new Uint32Array(1))[0] as number) / 2 ** 32,
  normal: () => {
    throw new Error(phrases.notUsed);
  },
};

/** Fresh words on the sender's screen; what the listener heard is typed and scored. */
export function ReadBack({ add }: PanelProps) {
  const [sent, setSent] = useState(() => freshWords(5, device));
  const [heard, setHeard] = useState('');
  const [direction, setDirection] = useState<Direction>('mobile-to-fixed');
  const [score, setScore] = useState<string>();
  const log = (): void => {
    const { right, of } = scoreReadBack(sent, heard);
    add('readBack', { sent, heard, direction });
    setScore(phrases.ofRight(right, of));
    setSent(freshWords(5, device));
    setHeard('');
  };
  return (
    <section className="sheet grid gap-2 px-3 py-2" aria-label={phrases.readBack}>
      <h2>
        {phrases.readAloud}
        <span className="figure" data-sent>
          {sent}
        </span>
      </h2>
      <Choice
        inline
        label={phrases.sent}
        value={direction}
        onChange={(e) => setDirection(e.target.value as Direction)}
      >
        <Options of={DIRECTIONS} />
      </Choice>
      <Field label={phrases.heardAtTheOtherEnd} value={heard} onChange={(e) => setHeard(e.target.value)} />
      <Touch onPress={log}>{phrases.logWhatWasHeard}</Touch>
      {score && <p role="status">{score}</p>}
    </section>
  );
}
