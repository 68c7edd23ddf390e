import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import type { Proposing, Stretch } from './ProposedLosses.tsx';
import * as phrases from './phrases.ts';

/** Why it cannot lie there, in words. */
function whyNot({ fromS, toS }: Stretch, walk: Stretch): string | undefined {
  if (!Number.isFinite(fromS) || !Number.isFinite(toS)) return phrases.writeSecondsAsIn;
  if (toS <= fromS) return phrases.itsEndComesAfterIts;
  return toS > walk.fromS && fromS < walk.toS ? undefined : phrases.thatIsOutsideTheWalk;
}

/** Other edges for a lost stretch, typed or taken from where the recording stands. */
export function MoveLoss({
  from,
  walk,
  open,
  hereS,
  onMove,
}: {
  from: Stretch;
  walk: Stretch;
  /** It goes on to the end: that is not moved. */
  open: boolean;
  hereS: Proposing['hereS'];
  onMove: (to: Stretch) => void;
}) {
  const [begins, setBegins] = useState(from.fromS.toFixed(3));
  const [ends, setEnds] = useState(from.toS.toFixed(3));
  const to = { fromS: Number(begins.trim() || NaN), toS: open ? from.toS : Number(ends.trim() || NaN) };
  const error = whyNot(to, walk);
  const edge = (label: string, value: string, onValue: (text: string) => void) => (
    <span className="flex items-end gap-1">
      <Field
        {...{ label, value, suffix: 's', inputMode: 'decimal', className: 'w-36' }}
        aria-invalid={error === undefined ? undefined : true}
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
      {!open && edge(phrases.ends, ends, setEnds)}
      <button type="button" className="btn" disabled={error !== undefined} onClick={() => onMove(to)}>
        {phrases.moveItThere}
      </button>
      {error && (
        <p role="alert" className="w-full font-bold text-lost">
          {error}.
        </p>
      )}
    </div>
  );
}
