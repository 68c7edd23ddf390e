import { rigSheet } from '@urvek/study';
import { useState } from 'react';
import { Tick } from '../../components/Field.tsx';
import type { SetupForm } from './form.ts';
import { RigSheetCell } from './RigSheetCell.tsx';
import { RigSheetHead } from './RigSheetHead.tsx';
import { SETTINGS, stated } from './rigSheetParts.ts';
import { MAIN_SETTINGS } from './settings.ts';
import * as phrases from './phrases.ts';

/**
 * Settings as rows, rigs as columns: what differs is notched with its size in dB, what nobody said is hatched; edited
 * in the cell.
 */
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
    <section aria-label={phrases.rigSheet}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <p role="status" className="flex-1">
          {differing === 0
            ? phrases.theyAreSetUpAlikeIn
            : phrases.ofFromTheFirstRigOf(differing, columns.filter((c) => c.against).length)}{' '}
          <span className="text-[0.87rem] text-faint">{phrases.notchDiffersWithItsSizeHatched}</span>
        </p>
        <Tick label={phrases.allKinds} checked={allKinds} onChange={(e) => setAllKinds(e.target.checked)} />
        <Tick
          label={phrases.allSettings(SETTINGS.length)}
          checked={allRows}
          onChange={(e) => setAllRows(e.target.checked)}
        />
      </div>
      <div
        className="sheet relative mt-1 max-h-[70vh] overflow-auto"
        tabIndex={0}
        role="group"
        aria-label={phrases.settingsByRig}
      >
        <table className="border-collapse text-[0.87rem]">
          <thead className="sticky top-0 z-10 bg-sheet shadow-[0_2px_0_var(--color-ink)]">
            <tr>
              <td className="sticky left-0 z-10 min-w-44 bg-sheet" />
              {columns.map((c) => (
                <RigSheetHead key={`${c.product.id}-${c.rig.id}`} column={c} columns={columns} form={form} />
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
                  <RigSheetCell key={`${c.product.id}-${c.rig.id}`} {...{ form, setting }} column={c} />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
