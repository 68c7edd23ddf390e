import { DISTANCE_METHODS, LENGTH_UNITS, type DistanceMethod, type LengthUnit } from '@urvek/core';
import {
  SHEET_FIELDS,
  type Sheet,
  type SheetField,
  type SheetMapping,
  type SheetOptions,
} from '@urvek/study';
import { Choice, Options } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

const LABEL: Readonly<Record<SheetField, string>> = {
  product: phrases.product,
  path: phrases.path,
  walk: phrases.walk2,
  distance: phrases.distance,
  place: phrases.placeByItsName,
  direction: phrases.direction,
  grade: phrases.gradeOrWords,
  presses: phrases.presses,
  hits: phrases.hits,
  date: phrases.day,
  note: phrases.note,
};

/** Which column of a table is what, and how its figures are to be read. */
export function SheetColumns({
  sheet,
  mapping,
  options: { unit, method, falling },
  onMapping: setMapping,
  onOptions,
}: {
  sheet: Sheet;
  mapping: SheetMapping;
  options: SheetOptions;
  onMapping: (mapping: SheetMapping) => void;
  onOptions: (change: Partial<SheetOptions>) => void;
}) {
  return (
    <div className="mt-3 grid grid-cols-2 gap-2 lg:grid-cols-5">
      {SHEET_FIELDS.map((field) => (
        <Choice
          key={field}
          label={LABEL[field]}
          value={mapping[field] ?? ''}
          onChange={(e) => setMapping({ ...mapping, [field]: e.target.value || undefined })}
        >
          <option value="">{phrases.noColumn}</option>
          {sheet.columns.map((c) => (
            <option key={c}>{c}</option>
          ))}
        </Choice>
      ))}
      <Choice
        label={phrases.figuresWithoutAUnitAreIn}
        value={unit}
        onChange={(e) => onOptions({ unit: e.target.value as LengthUnit })}
      >
        <Options of={LENGTH_UNITS} />
      </Choice>
      <Choice
        label={phrases.distancesThatFallAre}
        value={falling}
        onChange={(e) => onOptions({ falling: e.target.value as SheetOptions['falling'] })}
      >
        <option value={phrases.theWayBack}>{phrases.theWayBack}</option>
        <option value={phrases.rowsOutOfOrder}>{phrases.rowsOutOfOrder}</option>
      </Choice>
      <Choice
        label={phrases.distancesComeFrom}
        value={method}
        onChange={(e) => onOptions({ method: e.target.value as DistanceMethod })}
      >
        <Options of={DISTANCE_METHODS} />
      </Choice>
    </div>
  );
}
