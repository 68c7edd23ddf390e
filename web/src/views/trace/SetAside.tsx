import { useFieldLog } from '../../api/queries.ts';
import { fieldLog, SET_ASIDE } from '../../field/fieldLog.ts';
import * as phrases from './phrases.ts';

/** Events that the base refused: they stay on this device, and the rest goes on without them. */
export function SetAside({ walkId }: { walkId: string }) {
  const aside = useFieldLog(
    () => fieldLog.events.where({ walkId, place: SET_ASIDE }).toArray(),
    `aside-${walkId}`,
  );
  if (!aside || aside.length === 0) return null;
  return (
    <div className="border-l-4 border-lost pl-3" role="status">
      <p>{phrases.refusedByTheBaseAndSet}</p>
      <ul className="text-[0.87rem]">
        {aside.map((k) => (
          <li key={k.seq}>
            {phrases.number(k.seq, k.event.kind)}
            {k.refusal}
          </li>
        ))}
      </ul>
    </div>
  );
}
