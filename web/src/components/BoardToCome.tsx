import * as phrases from './phrases.ts';

/** As high as the board will be, its head and so many rows. */
export const BoardToCome = ({ what, rows, rowPx }: { what: string; rows: number; rowPx: number }) => (
  <div role="status" className="sheet p-4 text-faint" style={{ minHeight: Math.min(560, 40 + rowPx * rows) }}>
    {phrases.workingOut(what)}
  </div>
);
