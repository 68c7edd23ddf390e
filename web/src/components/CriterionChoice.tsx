import { CRITERION_MEANING, WANTED_CRITERIA, type WantedCriterion } from '@urvek/core';
import { Choice, Options } from './Field.tsx';
import * as phrases from './phrases.ts';

export function CriterionChoice({
  value,
  onChange,
}: {
  value: WantedCriterion;
  onChange: (criterion: WantedCriterion) => void;
}) {
  return (
    <div className="flex flex-wrap items-end gap-x-3">
      <Choice
        label={phrases.criterion}
        value={value}
        onChange={(e) => onChange(e.target.value as WantedCriterion)}
        className="w-60"
      >
        <Options of={WANTED_CRITERIA} />
      </Choice>
      <p className="pb-1.5 text-faint">
        {value === 'by kind' ? phrases.theUsualOneOfEachKind : CRITERION_MEANING[value]}
      </p>
    </div>
  );
}
