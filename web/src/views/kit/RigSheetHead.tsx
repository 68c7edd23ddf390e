import { kindOf } from '@urvek/core';
import type { SheetColumn } from '@urvek/study';
import type { SetupForm } from './form.ts';
import { SETTINGS } from './rigSheetParts.ts';
import * as phrases from './phrases.ts';

/** A column's head: whose rig it is, and another whose settings it can take over. */
export function RigSheetHead({
  column,
  columns,
  form,
}: {
  column: SheetColumn;
  columns: readonly SheetColumn[];
  form: SetupForm;
}) {
  const { product, rig, productIndex, rigIndex } = column;
  const take = (from: SheetColumn | undefined): void => {
    if (!from) return;
    for (const { field } of SETTINGS)
      form.setValue(`products.${productIndex}.rigs.${rigIndex}.${field}`, from.rig[field], {
        shouldDirty: true,
      });
  };
  return (
    <th scope="col" className="min-w-44 px-2 py-1 align-bottom leading-tight">
      {product.name}
      <span className="block text-[0.87rem] font-normal text-faint">
        {rig.name}; {kindOf(product.kindId).name}
      </span>
      <select
        aria-label={phrases.settingsOfTheSameAs(product.name, rig.name)}
        className="mt-0.5 w-40 border border-rule bg-sheet text-[0.87rem] font-normal"
        value=""
        onChange={(e) => take(columns[Number(e.target.value)])}
      >
        <option value="">{phrases.copyAColumn}</option>
        {columns.map((c, i) =>
          c === column ? null : (
            <option key={`${c.product.id}-${c.rig.id}`} value={i}>
              {c.product.name}: {c.rig.name}
            </option>
          ),
        )}
      </select>
    </th>
  );
}
