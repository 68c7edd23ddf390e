import { useEffect, useState } from 'react';

/** After arriving, this long before a reading counts (common practice). */
const SETTLE_S = 10;

/** Seconds until a reading counts. */
export function useSettling(): number {
  const [left, setLeft] = useState(SETTLE_S);
  useEffect(() => {
    if (left <= 0) return;
    const timer = setTimeout(() => setLeft(left - 1), 1000);
    return () => clearTimeout(timer);
  }, [left]);
  return left;
}
