import { DIRECTIONS, RUNGS, type Direction } from '@urvek/core';
import { useState } from 'react';
import { Choice, Options } from '../../components/Field.tsx';
import type { PanelProps } from './modesParts.tsx';
import { Touch } from './Touch.tsx';
import * as phrases from './phrases.ts';

/** Voice, then a tone, then data: what still gets through at one place. */
export function Ladder({ add }: PanelProps) {
  const [direction, setDirection] = useState<Direction>('mobile-to-fixed');
  return (
    <section className="sheet grid gap-2 px-3 py-2" aria-label={phrases.fallbackLadder}>
      <Choice
        inline
        label={phrases.sent}
        value={direction}
        onChange={(e) => setDirection(e.target.value as Direction)}
      >
        <Options of={DIRECTIONS} />
      </Choice>
      {RUNGS.map((rung) => (
        <div key={rung} className="grid grid-cols-[1fr_1fr_1fr] items-center gap-2">
          <strong>{rung}</strong>
          <Touch onPress={() => add('rung', { rung, worked: true, direction })}>{phrases.worked(rung)}</Touch>
          <Touch onPress={() => add('rung', { rung, worked: false, direction })}>
            {phrases.failed(rung)}
          </Touch>
        </div>
      ))}
    </section>
  );
}
