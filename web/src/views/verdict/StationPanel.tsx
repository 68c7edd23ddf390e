import { settingText } from '@urvek/draw';
import type { StationJudged } from '@urvek/study';
import { Empty } from '../../components/States.tsx';
import type { SetupForm } from '../kit/form.ts';
import { StationForm } from './StationForm.tsx';
import * as phrases from './phrases.ts';

/** Readings at one place without a walk: what a setting changes, against how far its repeats lie apart. */
export function StationPanel({ form, stations }: { form: SetupForm; stations: readonly StationJudged[] }) {
  return (
    <div className="grid gap-4">
      {stations.length === 0 ? (
        <Empty title={phrases.nothingWasReadAtOnePlace}>{phrases.beforeAfterAndBeforeAgainOr}</Empty>
      ) : (
        <section className="sheet overflow-x-auto p-4" aria-label={phrases.stationsFound}>
          <table className="table">
            <thead>
              <tr>
                <th>{phrases.what}</th>
                <th>{phrases.settingsMeanLeastToMost}</th>
                <th>{phrases.whatItSays}</th>
              </tr>
            </thead>
            <tbody>
              {stations.map(({ row, product, found, said }) => (
                <tr key={row.id} data-station={row.id}>
                  <th scope="row" className="row-head">
                    {row.what}
                    <span className="block text-[0.87rem] font-normal text-faint">
                      {product?.name ?? phrases.productNotStated}
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
