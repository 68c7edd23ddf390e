import { GRADES, type Grade, type Kind } from '@urvek/core';
import { Choice } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

/** How good it is where the walk begins; it need not be graded. */
export const BaselineChoice = ({
  kind,
  baseline,
  onChange: setBaseline,
}: {
  kind: Kind;
  baseline: Grade | undefined;
  onChange: (baseline: Grade | undefined) => void;
}) => (
  <Choice
    label={phrases.baselineWhereItBegins}
    value={baseline ?? ''}
    onChange={(e) => setBaseline(e.target.value === '' ? undefined : (Number(e.target.value) as Grade))}
  >
    <option value="">{phrases.notGraded}</option>
    {GRADES.map((g) => (
      <option key={g} value={g}>
        {g}: {kind.words[g]}
      </option>
    ))}
  </Choice>
);
