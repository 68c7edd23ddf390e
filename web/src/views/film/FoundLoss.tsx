import type { Detected } from '@urvek/core';
import * as phrases from './phrases.ts';

const lasting = ({ fromS, toS }: Detected): string =>
  toS - fromS < 1 ? phrases.forMs((1000 * (toS - fromS)).toFixed(0)) : phrases.forS((toS - fromS).toFixed(2));

/** A stretch that was found to be lost: looked at, taken into the log, or refused. */
export const FoundLoss = ({
  found: d,
  onLook,
  onTake,
  onRefuse,
}: {
  found: Detected;
  onLook: () => void;
  onTake: () => void;
  onRefuse: () => void;
}) => (
  <li className="flex flex-wrap items-center gap-2 border-t border-rule py-1">
    <span className="min-w-60 flex-1">
      <span className="figure">{d.fromS.toFixed(3)} s</span>, {d.open ? phrases.toTheEnd : lasting(d)}:{' '}
      {d.kind}, {d.figure}
    </span>
    <button type="button" className="btn" aria-label={phrases.lookAtS(d.fromS.toFixed(3))} onClick={onLook}>
      {phrases.look}
    </button>
    <button type="button" className="btn" aria-label={phrases.takeS(d.fromS.toFixed(3))} onClick={onTake}>
      {phrases.take}
    </button>
    <button
      type="button"
      className="btn btn-quiet"
      aria-label={phrases.refuseS(d.fromS.toFixed(3))}
      onClick={onRefuse}
    >
      {phrases.refuse}
    </button>
  </li>
);
