import { createElement, useEffect, useState, type ComponentProps, type ReactElement } from 'react';
import type { LiveWalk } from './LiveWalk.tsx';

/**
 * The walk under way, which is no part of the first load: fetched as soon as what stands before it is shown, and so
 * at hand before the press that begins; out there the base may be out of reach. Undefined until it is there.
 */
export function useLiveWalk(): ((props: ComponentProps<typeof LiveWalk>) => ReactElement) | undefined {
  const [loaded, setLoaded] = useState<{ readonly LiveWalk: typeof LiveWalk }>();
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let again: ReturnType<typeof setTimeout> | undefined;
    import('./LiveWalk.tsx').then(setLoaded, () => {
      again = setTimeout(() => setTries((n) => n + 1), TRY_AGAIN_MS);
    });
    return () => clearTimeout(again);
  }, [tries]);
  return loaded && ((props) => createElement(loaded.LiveWalk, props));
}

const TRY_AGAIN_MS = 2000;
