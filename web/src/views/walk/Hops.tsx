import * as phrases from './phrases.ts';

/** Of a chain with a relay: which hop was lost, or that nobody knows. */
export function Hops({
  hops,
  lost,
  onLost,
}: {
  hops: readonly string[];
  lost: boolean;
  onLost: (hop: string | undefined) => void;
}) {
  if (hops.length < 2) return null;
  return (
    <div className="grid grid-cols-2 gap-2" role="group" aria-label={phrases.whichHopIsLost}>
      {hops.map((hop) => (
        <button key={hop} type="button" className="pressable" disabled={lost} onClick={() => onLost(hop)}>
          {phrases.lost2(hop)}
        </button>
      ))}
      <button type="button" className="pressable" disabled={lost} onClick={() => onLost(undefined)}>
        {phrases.lostNotKnownWhich}
      </button>
    </div>
  );
}
