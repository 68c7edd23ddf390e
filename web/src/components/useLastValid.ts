import { useState } from 'react';

/**
 * The newest value that was valid: what is half typed must not take the picture away. Undefined until there
 * was one.
 */
export function useLastValid<T>(value: T, valid: boolean): T | undefined {
  const key = JSON.stringify(value);
  const [kept, setKept] = useState<{ key: string; value: T }>();
  if (!valid || kept?.key === key) return kept?.value;
  const next = { key, value: structuredClone(value) };
  setKept(next);
  return next.value;
}
