import { useEffect, useState } from 'react';

/** How long a value must stand still, ms: about the pause between two keystrokes. */
const STILL_MS = 150;

/** The value once it has stood still for a moment: work that follows typing begins when the typing rests. */
export function useSettled(value: string): string {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), STILL_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}
