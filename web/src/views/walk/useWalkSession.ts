import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { useFieldLog } from '../../api/queries.ts';
import { fieldLog } from '../../field/fieldLog.ts';
import { WalkSession, type SessionView } from '../../field/walkSession.ts';

/** The walk under way on this device. While something of it is in memory only, the page is not left unasked. */
export function useWalkSession(walkId: string): SessionView & { readonly session: WalkSession } {
  const session = useMemo(() => new WalkSession(walkId, fieldLog), [walkId]);
  const view = useSyncExternalStore(session.subscribe, session.current);
  const waiting = view.unkept > 0;
  useEffect(() => {
    if (!waiting) return;
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [waiting]);
  const held = useFieldLog(() => fieldLog.holds(walkId), `holds ${walkId}`);
  useEffect(() => {
    // Where the device refuses, the next press tries again and says so.
    if (held === false) void session.putBack().catch(() => undefined);
  }, [held, session]);
  return { ...view, session };
}
