import type { RigSettings } from '@urvek/core';
import { kindOf } from '@urvek/core';
import { rigSheet, type SheetColumn } from '@urvek/study';
import { useState } from 'react';
import { asFigure, asMetres } from '../../components/figures.ts';
import { Tick } from '../../components/Field.tsx';
import type { SetupForm } from './form.ts';
import { isText, MAIN_SETTINGS, MORE_SETTINGS, type Setting } from './settings.ts';

const SETTINGS = [...MAIN_SETTINGS, ...MORE_SETTINGS];
const stated = (value: unknown): boolean => value !== undefined && value !== '';

/** Settings as rows, rigs as columns: what differs is notched with its size in dB, what nobody said is hatched; edited in the cell. */
export function RigSheet({ form, kindId }: { form: SetupForm; kindId: string | undefined }) {
  const [allKinds, setAllKinds] = useState(false);
  const [allRows, setAllRows] = useState(false);
  const products = form.watch('products');
  const columns = rigSheet({ products }, allKinds ? undefined : kindId);
  const rows = SETTINGS.filter(
    (s) => allRows || MAIN_SETTINGS.includes(s) || columns.some((c) => stated(c.rig[s.field])),
  );
  const differing = columns.filter((c) => c.differences.size > 0).length;
  return (
    <section aria-label="Rig sheet">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <p role="status" className="flex-1">
          {differing === 0
            ? 'They are set up alike in everything that is stated.'
            : `${differing} of ${columns.filter((c) => c.against).length} ${differing === 1 ? 'differs' : 'differ'} from the first rig of ${differing === 1 ? 'its' : 'their'} kind.`}{' '}
          <span className="text-[0.87rem] text-faint">
            Notch: differs, with its size; hatched: not stated.
          </span>
        </p>
        <Tick label="all kinds" checked={allKinds} onChange={(e) => setAllKinds(e.target.checked)} />
        <Tick
          label={`all ${SETTINGS.length} settings`}
          checked={allRows}
          onChange={(e) => setAllRows(e.target.checked)}
        />
      </div>
      <div
        className="sheet relative mt-1 max-h-[70vh] overflow-auto"
        tabIndex={0}
        role="group"
        aria-label="Settings by rig"
      >
        <table className="border-collapse text-[0.87rem]">
          <thead className="sticky top-0 z-10 bg-sheet shadow-[0_2px_0_var(--color-ink)]">
            <tr>
              <td className="sticky left-0 z-10 min-w-44 bg-sheet" />
              {columns.map((c) => (
                <Head key={`${c.product.id}-${c.rig.id}`} column={c} columns={columns} form={form} />
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((setting) => (
              <tr key={setting.field} className="border-t border-rule">
                <th scope="row" className="sticky left-0 z-[5] bg-sheet px-2 font-bold whitespace-nowrap">
                  {setting.label.replace(/, with commas$/, '')}
                  {setting.suffix && <span className="font-normal text-faint">, {setting.suffix}</span>}
                </th>
                {columns.map((c) => (
                  <Cell key={`${c.product.id}-${c.rig.id}`} {...{ form, setting }} column={c} />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** A column's head: whose rig it is, and another whose settings it can take over. */
function Head({
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
        aria-label={`Settings of ${product.name}, ${rig.name}: the same as`}
        className="mt-0.5 w-40 border border-rule bg-sheet text-[0.87rem] font-normal"
        value=""
        onChange={(e) => take(columns[Number(e.target.value)])}
      >
        <option value="">copy a column …</option>
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

function Cell({ column, setting, form }: { column: SheetColumn; setting: Setting; form: SetupForm }) {
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
        <CellInput {...{ form, name, field, suffix, open }} invalid={error !== undefined} />
        {differs && (
          <span className="figure pr-2 text-[0.87rem] font-bold whitespace-nowrap text-degraded">
            {differs.gainDb === undefined
              ? 'size unknown'
              : `${differs.gainDb > 0 ? '+' : ''}${differs.gainDb.toFixed(1)} dB`}
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

const CellInput = ({
  form,
  name,
  field,
  suffix,
  open,
  invalid,
}: {
  form: SetupForm;
  name: `products.${number}.rigs.${number}.${keyof RigSettings}`;
  field: keyof RigSettings;
  suffix: string | undefined;
  open: boolean;
  invalid: boolean;
}) => (
  <input
    className="min-h-8 w-full min-w-28 bg-transparent px-2 focus:bg-white"
    placeholder={open ? 'not stated' : ''}
    aria-invalid={invalid}
    inputMode={isText(field) || suffix === 'm' ? undefined : 'decimal'}
    {...form.register(name, isText(field) ? {} : suffix === 'm' ? asMetres : asFigure)}
  />
);
