import type { Correction, WalkEvent } from '@urvek/core';
import { Choice } from '../../components/Field.tsx';

/** What can have been wrong of an entry of its kind. */
export const CorrectionChoice = ({
  event,
  measured,
  saysMore,
  action,
  onChange,
}: {
  event: WalkEvent;
  measured: boolean;
  saysMore: boolean;
  action: Correction['action'];
  onChange: (action: Correction['action']) => void;
}) => (
  <Choice
    label="Correction"
    value={action}
    onChange={(e) => onChange(e.target.value as Correction['action'])}
  >
    {event.kind !== 'begin' && <option value="withdraw">it did not happen: withdraw it</option>}
    <option value="move">it happened at another time</option>
    {event.kind === 'grade' && <option value="regrade">it was another grade</option>}
    {measured && <option value="remeasure">it was at another distance, or measured otherwise</option>}
    {saysMore && <option value="rewrite">it was otherwise</option>}
    {event.kind === 'begin' && <option value="restate">it was begun otherwise</option>}
  </Choice>
);
