import { useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import type { PanelProps } from './modesParts.tsx';

const ORIENTATIONS = ['facing it', 'side on', 'back to it', 'in the pocket'] as const;

/** Presses and answers, k of n. */
export function Hits({ add }: PanelProps) {
  const [[hits, misses], setCount] = useState<[number, number]>([0, 0]);
  const [orientation, setOrientation] = useState<string>(ORIENTATIONS[0]);
  const presses = hits + misses;
  return (
    <section className="sheet grid gap-2 p-3" aria-label="Hits">
      <h2>
        <span className="figure">{hits}</span> of <span className="figure">{presses}</span> answered
      </h2>
      <div className="grid grid-cols-2 gap-2">
        <button type="button" className="pressable" onClick={() => setCount([hits + 1, misses])}>
          Answered
        </button>
        <button type="button" className="pressable" onClick={() => setCount([hits, misses + 1])}>
          No answer
        </button>
      </div>
      <Choice label="Held" value={orientation} onChange={(e) => setOrientation(e.target.value)}>
        {ORIENTATIONS.map((o) => (
          <option key={o}>{o}</option>
        ))}
      </Choice>
      <button
        type="button"
        className="pressable"
        disabled={presses === 0}
        onClick={() => {
          add('hits', { presses, hits, orientation });
          setCount([0, 0]);
        }}
      >
        Log {hits} of {presses}
      </button>
    </section>
  );
}
