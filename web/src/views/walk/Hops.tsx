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
    <div className="grid grid-cols-2 gap-2" role="group" aria-label="Which hop is lost">
      {hops.map((hop) => (
        <button key={hop} type="button" className="pressable" disabled={lost} onClick={() => onLost(hop)}>
          Lost: {hop}
        </button>
      ))}
      <button type="button" className="pressable" disabled={lost} onClick={() => onLost(undefined)}>
        Lost: not known which
      </button>
    </div>
  );
}
