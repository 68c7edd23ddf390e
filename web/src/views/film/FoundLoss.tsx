import type { Detected } from '@urvek/core';
import { useState } from 'react';
import { MoveLoss } from './MoveLoss.tsx';
import * as phrases from './phrases.ts';

const lasting = ({ fromS, toS }: Pick<Detected, 'fromS' | 'toS'>): string =>
  toS - fromS < 1 ? phrases.forMs((1000 * (toS - fromS)).toFixed(0)) : phrases.forS((toS - fromS).toFixed(2));

/** A stretch that was found to be lost: looked at, moved, taken into the log, or refused. */
export function FoundLoss<D extends Detected>({
  found,
  hereS,
  onLook,
  onTake,
  onRefuse,
}: {
  found: D;
  /** Where the recording stands. */
  hereS: (() => number) | undefined;
  onLook: (atS: number) => void;
  onTake: (as: D & { readonly byHand?: true }) => void;
  onRefuse: () => void;
}) {
  const [moved, setMoved] = useState<Pick<Detected, 'fromS' | 'toS'>>();
  const [moving, setMoving] = useState(false);
  const d = moved
    ? { ...found, ...moved, byHand: true as const, figure: phrases.movedByHand(found.figure) }
    : found;
  const at = d.fromS.toFixed(3);
  return (
    <li className="border-t border-rule py-1">
      <div className="flex flex-wrap items-center gap-2">
        <span className="min-w-60 flex-1">
          <span className="figure">{at} s</span>, {d.open ? phrases.toTheEnd : lasting(d)}: {d.kind},{' '}
          {d.figure}
        </span>
        <button
          type="button"
          className="btn"
          aria-label={phrases.lookAtS(at)}
          onClick={() => onLook(d.fromS)}
        >
          {phrases.look}
        </button>
        <button
          type="button"
          className="btn"
          aria-label={phrases.moveS(at)}
          aria-expanded={moving}
          onClick={() => setMoving(!moving)}
        >
          {phrases.move}
        </button>
        <button type="button" className="btn" aria-label={phrases.takeS(at)} onClick={() => onTake(d)}>
          {phrases.take}
        </button>
        <button type="button" className="btn btn-quiet" aria-label={phrases.refuseS(at)} onClick={onRefuse}>
          {phrases.refuse}
        </button>
      </div>
      {moving && (
        <MoveLoss
          from={d}
          open={d.open}
          hereS={hereS}
          onMove={(to) => {
            setMoved(to);
            setMoving(false);
          }}
        />
      )}
    </li>
  );
}
