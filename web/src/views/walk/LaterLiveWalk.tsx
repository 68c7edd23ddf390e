import { lazy, Suspense, useEffect, type ComponentProps } from 'react';
import { Loading } from '../../components/States.tsx';

const load = () => import('./LiveWalk.tsx');
const Loaded = lazy(() => load().then((m) => ({ default: m.LiveWalk })));

/** The walk under way: no part of the first load, and fetched as soon as what stands before it is shown. */
export const LaterLiveWalk = (props: ComponentProps<typeof Loaded>) => (
  <Suspense fallback={<Loading what="the walk" />}>
    <Loaded {...props} />
  </Suspense>
);

/** Has it at hand before the press that begins: out there the base may be out of reach. */
export const useLiveWalkAtHand = (): void =>
  useEffect(() => {
    // Where that fails it is asked for again when it is shown.
    load().catch(() => undefined);
  }, []);
