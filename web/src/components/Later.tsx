import { startTransition, useEffect, useState, type ReactNode } from 'react';

/**
 * What stands below what a stage opens on: drawn once that is there, piece by piece, so that the page answers
 * meanwhile. `waiting` stands in its place until then.
 */
export function Later({ children, waiting = null }: { children: () => ReactNode; waiting?: ReactNode }) {
  const [now, setNow] = useState(false);
  useEffect(() => startTransition(() => setNow(true)), []);
  return now ? children() : waiting;
}
