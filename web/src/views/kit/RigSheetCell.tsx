import type { SheetColumn } from '@urvek/study';
import type { SetupForm } from './form.ts';
import { RigSheetInput } from './RigSheetInput.tsx';
import { stated } from './rigSheetParts.ts';
import type { Setting } from './settings.ts';
import * as phrases from './phrases.ts';

/** One setting of one rig: stated, not stated, or other than the first of its kind. */
export function RigSheetCell({
  column,
  setting,
  form,
}: {
  column: SheetColumn;
  setting: Setting;
  form: SetupForm;
}) {
  const { field, label, suffix } = setting;
  const { product, rig, productIndex, rigIndex } = column;
  const differs = column.differences.get(field);
  const open = !stated(rig[field]);
  const error = form.formState.errors.products?.[productIndex]?.rigs?.[rigIndex]?.[field]?.message;
  const name = `products.${productIndex}.rigs.${rigIndex}.${field}` as const;
  return (
    <td
      className={`p-0 ${differs ? 'border-l-[5px] border-degraded bg-white' : ''} ${open ? 'hatched' : ''}`}
      data-differs={differs !== undefined}
    >
      <label className="flex items-center">
        <span className="sr-only">
          {label}, {product.name}, {rig.name}
        </span>
        <RigSheetInput {...{ form, name, field, suffix, open }} invalid={error !== undefined} />
        {differs && (
          <span className="figure pr-2 text-[0.87rem] font-bold whitespace-nowrap text-degraded">
            {differs.gainDb === undefined
              ? phrases.sizeUnknown
              : phrases.db(differs.gainDb > 0 ? '+' : '', differs.gainDb.toFixed(1))}
          </span>
        )}
      </label>
      {error && (
        <p role="alert" className="px-2 text-[0.87rem] text-lost">
          {error}
        </p>
      )}
    </td>
  );
}
