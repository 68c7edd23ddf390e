import { CRITERION_MEANING, WANTED_CRITERIA, type WantedCriterion } from '@urvek/core';
import { Choice, Options } from './Field.tsx';

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
        label="Criterion"
        value={value}
        onChange={(e) => onChange(e.target.value as WantedCriterion)}
        className="w-60"
      >
        <Options of={WANTED_CRITERIA} />
      </Choice>
      <p className="pb-1.5 text-faint">
        {value === 'by kind' ? 'the usual one of each kind of product' : CRITERION_MEANING[value]}
      </p>
    </div>
  );
}
