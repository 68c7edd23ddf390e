import type { Correction, WalkEvent } from '@urvek/core';
import { Choice } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

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
    label={phrases.correction}
    value={action}
    onChange={(e) => onChange(e.target.value as Correction['action'])}
  >
    {event.kind !== 'begin' && <option value="withdraw">{phrases.itDidNotHappenWithdrawIt}</option>}
    <option value="move">{phrases.itHappenedAtAnotherTime}</option>
    {event.kind === 'grade' && <option value="regrade">{phrases.itWasAnotherGrade}</option>}
    {measured && <option value="remeasure">{phrases.itWasAtAnotherDistanceOr}</option>}
    {saysMore && <option value="rewrite">{phrases.itWasOtherwise}</option>}
    {event.kind === 'begin' && <option value="restate">{phrases.itWasBegunOtherwise}</option>}
  </Choice>
);
