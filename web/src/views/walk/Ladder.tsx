import { DIRECTIONS, RUNGS, type Direction } from '@urvek/core';
import { useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import type { PanelProps } from './modesParts.tsx';
import { Touch } from './Touch.tsx';

/** Voice, then a tone, then data: what still gets through at one place. */
export function Ladder({ add }: PanelProps) {
  const [direction, setDirection] = useState<Direction>('mobile-to-fixed');
  return (
    <section className="sheet grid gap-2 p-3" aria-label="Fallback ladder">
      <Choice label="Sent" value={direction} onChange={(e) => setDirection(e.target.value as Direction)}>
        {DIRECTIONS.map((d) => (
          <option key={d}>{d}</option>
        ))}
      </Choice>
      {RUNGS.map((rung) => (
        <div key={rung} className="grid grid-cols-[1fr_1fr_1fr] items-center gap-2">
          <strong>{rung}</strong>
          <Touch onPress={() => add('rung', { rung, worked: true, direction })}>{rung} worked</Touch>
          <Touch onPress={() => add('rung', { rung, worked: false, direction })}>{rung} failed</Touch>
        </div>
      ))}
    </section>
  );
}
