import { CRITERIA, CRITERION_MEANING, type Criterion } from '@urvek/core';
import { Choice } from './Field.tsx';

export function CriterionChoice({ value, onChange }: { value: Criterion; onChange: (criterion: Criterion) => void }) {
  return (
    <div className="flex flex-wrap items-end gap-x-3">
      <Choice label="Criterion" value={value} onChange={(e) => onChange(e.target.value as Criterion)} className="w-60">
        {CRITERIA.map((c) => <option key={c} value={c}>{c}</option>)}
      </Choice>
      <p className="pb-1.5 text-faint">{CRITERION_MEANING[value]}</p>
    </div>
  );
}
