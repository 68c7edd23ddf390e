import type { Detected } from '@urvek/core';

const lasting = ({ fromS, toS }: Detected): string =>
  toS - fromS < 1 ? `for ${(1000 * (toS - fromS)).toFixed(0)} ms` : `for ${(toS - fromS).toFixed(2)} s`;

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
      <span className="figure">{d.fromS.toFixed(3)} s</span>, {d.open ? 'to the end' : lasting(d)}: {d.kind},{' '}
      {d.figure}
    </span>
    <button type="button" className="btn" aria-label={`Look at ${d.fromS.toFixed(3)} s`} onClick={onLook}>
      Look
    </button>
    <button type="button" className="btn" aria-label={`Take ${d.fromS.toFixed(3)} s`} onClick={onTake}>
      Take
    </button>
    <button
      type="button"
      className="btn btn-quiet"
      aria-label={`Refuse ${d.fromS.toFixed(3)} s`}
      onClick={onRefuse}
    >
      Refuse
    </button>
  </li>
);
