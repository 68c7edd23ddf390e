import { settingText } from '@urvek/draw';
import type { StationJudged } from '@urvek/study';
import { Empty } from '../../components/States.tsx';
import type { SetupForm } from '../kit/form.ts';
import { StationForm } from './StationForm.tsx';

/** Readings at one place without a walk: what a setting changes, against how far its repeats lie apart. */
export function StationPanel({ form, stations }: { form: SetupForm; stations: readonly StationJudged[] }) {
  return (
    <div className="grid gap-4">
      {stations.length === 0 ? (
        <Empty title="Nothing was read at one place">
          Before, after, and before again; or a setting gone through, each step read more than once and in
          mixed order.
        </Empty>
      ) : (
        <section className="sheet overflow-x-auto p-4" aria-label="Stations found">
          <table className="table">
            <thead>
              <tr>
                <th>What</th>
                <th>Settings: mean (least to most)</th>
                <th>What it says</th>
              </tr>
            </thead>
            <tbody>
              {stations.map(({ row, product, found, said }) => (
                <tr key={row.id} data-station={row.id}>
                  <th scope="row" className="row-head">
                    {row.what}
                    <span className="block text-[0.87rem] font-normal text-faint">
                      {product?.name ?? 'product not stated'}
                      {row.place ? `, ${row.place}` : ''}
                    </span>
                  </th>
                  <td className="figure">
                    {found.settings.map((s) => (
                      <span key={s.setting} className="block whitespace-nowrap">
                        {settingText(s, row.quantity)}
                      </span>
                    ))}
                  </td>
                  <td>{said.join(' ')}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <StationForm form={form} />
    </div>
  );
}
