import { useFieldLog } from '../../api/queries.ts';
import { AT_BASE, fieldLog, SET_ASIDE } from '../../field/fieldLog.ts';
import * as phrases from './phrases.ts';

/** "213 events, 180 at the base": here are all of them. */
export function KeptCount({ walkId }: { walkId: string }) {
  const events = useFieldLog(
    () => fieldLog.events.where('walkId').equals(walkId).toArray(),
    `count-${walkId}`,
  );
  if (!events) return null;
  const aside = events.filter((e) => e.place === SET_ASIDE);
  return (
    <p
      className="figure text-[0.87rem]"
      data-kept={events.length}
      data-at-base={events.filter((e) => e.place === AT_BASE).length}
    >
      {phrases.atTheBase(
        phrases.countedEvents(events.length),
        events.filter((e) => e.place === AT_BASE).length,
      )}
      {aside.length > 0 && (
        <strong className="text-lost">
          {phrases.refusedAndSetAside(aside.length)}
          {aside[0]?.refusal}
        </strong>
      )}
    </p>
  );
}
