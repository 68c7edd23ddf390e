import { DIRECTIONS, type Direction } from '@urvek/core';
import { useState } from 'react';
import { Choice, Options } from '../../components/Field.tsx';
import type { PanelProps } from './modesParts.tsx';
import { Touch } from './Touch.tsx';
import * as phrases from './phrases.ts';

const ORIENTATIONS = ['not stated', 'facing it', 'side on', 'back to it', 'in the pocket'] as const;
const COUNTED = { presses: phrases.pressesOneReceiver, receivers: phrases.receiversAtOnePress } as const;

/** Presses and answers, k of n; or, at one press, k of n receivers. */
export function Hits({ add, kind, onOpenCount }: PanelProps) {
  const [[hits, misses], setCount] = useState<[number, number]>([0, 0]);
  const [orientation, setOrientation] = useState<string>(ORIENTATIONS[0]);
  const [direction, setDirection] = useState<Direction>(kind.direction);
  const [of, setOf] = useState<keyof typeof COUNTED>('presses');
  const presses = hits + misses;
  const count = {
    presses,
    hits,
    direction,
    ...(of === 'presses' ? {} : { of }),
    ...(orientation === ORIENTATIONS[0] ? {} : { orientation }),
  };
  const become = (next: [number, number]): void => {
    setCount(next);
    const [k, misses] = next;
    onOpenCount(k + misses > 0 ? { ...count, presses: k + misses, hits: k } : undefined);
  };
  return (
    <section className="sheet grid gap-2 px-3 py-2" aria-label={phrases.hits}>
      <h2>
        <span className="figure">{hits}</span>
        {phrases.ofText}
        <span className="figure">{presses}</span>
        {phrases.answered}
      </h2>
      <div className="grid grid-cols-2 gap-2">
        <Touch onPress={() => become([hits + 1, misses])}>{phrases.answered2}</Touch>
        <Touch onPress={() => become([hits, misses + 1])}>{phrases.noAnswer2}</Touch>
      </div>
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center text-[0.87rem]">
          {COUNTED[of]}, {direction}, {orientation === ORIENTATIONS[0] ? phrases.heldNotStated : orientation}
        </summary>
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
          <Choice
            className="col-span-2 sm:col-span-1"
            label={phrases.counted}
            value={of}
            onChange={(e) => setOf(e.target.value as keyof typeof COUNTED)}
          >
            {Object.entries(COUNTED).map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </Choice>
          <Choice
            label={phrases.direction}
            value={direction}
            onChange={(e) => setDirection(e.target.value as Direction)}
          >
            <Options of={DIRECTIONS} />
          </Choice>
          <Choice label={phrases.held} value={orientation} onChange={(e) => setOrientation(e.target.value)}>
            <Options of={ORIENTATIONS} />
          </Choice>
        </div>
      </details>
      <Touch
        disabled={presses === 0}
        onPress={() => {
          add('hits', count);
          become([0, 0]);
        }}
      >
        {phrases.logOf(hits, presses)}
      </Touch>
    </section>
  );
}
