import type { Detected } from '@urvek/core';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

type Edges = Pick<Detected, 'fromS' | 'toS'>;

/** Other edges for a lost stretch, typed or taken from where the recording stands. */
export function MoveLoss({
  from,
  open,
  hereS,
  onMove,
}: {
  from: Edges;
  /** It goes on to the end: that is not moved. */
  open: boolean;
  hereS: (() => number) | undefined;
  onMove: (to: Edges) => void;
}) {
  const [begins, setBegins] = useState(from.fromS.toFixed(3));
  const [ends, setEnds] = useState(from.toS.toFixed(3));
  const [fromS, toS] = [Number.parseFloat(begins), open ? from.toS : Number.parseFloat(ends)];
  const wrong = !(fromS >= 0) || !(toS > fromS);
  const edge = (label: string, value: string, onValue: (text: string) => void, error?: string) => (
    <span className="flex items-end gap-1">
      <Field
        {...{ label, value, error, suffix: 's', inputMode: 'decimal', className: 'w-36' }}
        onChange={(e) => onValue(e.target.value)}
      />
      {hereS && (
        <button
          type="button"
          className="btn btn-quiet"
          aria-label={phrases.whereItStands(label)}
          onClick={() => onValue(hereS().toFixed(3))}
        >
          {phrases.here}
        </button>
      )}
    </span>
  );
  return (
    <div className="flex flex-wrap items-end gap-3 py-1">
      {edge(phrases.begins, begins, setBegins)}
      {!open && edge(phrases.ends, ends, setEnds, wrong ? phrases.itsEndComesAfterIts : undefined)}
      <button type="button" className="btn" disabled={wrong} onClick={() => onMove({ fromS, toS })}>
        {phrases.moveItThere}
      </button>
    </div>
  );
}
