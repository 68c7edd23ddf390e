import { DIRECTIONS, RUNGS, type Direction } from '@urvek/core';
import { Fragment, useState } from 'react';
import { Choice, Options } from '../../components/Field.tsx';
import type { PanelProps } from './modesParts.tsx';
import { Touch } from './Touch.tsx';
import * as phrases from './phrases.ts';

/** Three rows of keys, the walk's state and its end are in sight together on a small phone. */
const LOWER = 'min-h-13';

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
      <div className="grid grid-cols-2 gap-2">
        {RUNGS.map((rung) => (
          <Fragment key={rung}>
            <Touch className={LOWER} onPress={() => add('rung', { rung, worked: true, direction })}>
              {phrases.worked(rung)}
            </Touch>
            <Touch className={LOWER} onPress={() => add('rung', { rung, worked: false, direction })}>
              {phrases.failed(rung)}
            </Touch>
          </Fragment>
        ))}
      </div>
    </section>
  );
}
