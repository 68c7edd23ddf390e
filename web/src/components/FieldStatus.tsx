import { useFieldLog } from '../api/queries.ts';
import { fieldLog, HERE, SET_ASIDE, UNFILED } from '../field/fieldLog.ts';
import * as phrases from './phrases.ts';

/** What of this device's logs has not reached the base; nothing to say when all has. */
export function FieldStatus() {
  const left = useFieldLog(() => fieldLog.events.where('place').anyOf(HERE, SET_ASIDE).toArray(), 'left');
  const loose = useFieldLog(() => fieldLog.walks.where({ comparisonId: UNFILED }).primaryKeys(), 'loose');
  if (!left || left.length === 0) return null;
  const aside = left.filter((k) => k.place === SET_ASIDE);
  const unfiled = left.filter((k) => loose?.includes(k.walkId)).length;
  const waiting = left.length - aside.length - unfiled;
  return (
    <p className="text-sm whitespace-nowrap">
      {waiting > 0 && <span>{phrases.toSend(waiting)}</span>}
      {unfiled > 0 && <span className="ml-2">{phrases.notFiled(unfiled)}</span>}
      {aside.length > 0 && (
        <strong className="ml-2 border border-sheet px-1.5">{phrases.refusedSetAside(aside.length)}</strong>
      )}
    </p>
  );
}
