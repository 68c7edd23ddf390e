/** As high as the board will be. */
export const BoardToCome = ({ rows }: { rows: number }) => (
  <div role="status" className="sheet p-4 text-faint" style={{ minHeight: Math.min(560, 70 + 52 * rows) }}>
    Working out the estimates …
  </div>
);
