import type { JudgementView } from '@urvek/study';
import { Field } from '../../components/Field.tsx';
import { Length } from '../../components/Length.tsx';
import type { SetupForm } from '../kit/form.ts';
import { CostLines } from './CostLines.tsx';
import * as phrases from './phrases.ts';

/** Price and everything needed to reach the range, per metre gained. */
export function Costs({ form, judged }: { form: SetupForm; judged: JudgementView }) {
  const products = form.watch('products');
  const currency = form.watch('currency') ?? '';
  return (
    <details className="sheet p-4" open={judged.costs.length > 0}>
      <summary className="cursor-pointer font-head text-base font-bold">{phrases.costOfAMetre}</summary>
      {judged.costs.map((c) => (
        <table key={c.title} className="table mt-2">
          <caption className="text-left font-bold">{c.title}</caption>
          <thead>
            <tr>
              <th>{phrases.product}</th>
              <th>{phrases.everythingNeeded}</th>
              <th>{phrases.n9Of10WalksHoldTo}</th>
              <th>{phrases.perMetre}</th>
              <th>{phrases.perMetreGainedOverTheCheapest}</th>
            </tr>
          </thead>
          <tbody>
            {c.rows.map((r) => (
              <tr key={r.product}>
                <th scope="row" className="row-head">
                  {r.product}
                </th>
                <td className="figure">
                  {r.total.toFixed(2)} {currency}
                </td>
                <td>
                  <Length m={r.reachM} />
                </td>
                <td className="figure">{r.perMetre.toFixed(2)}</td>
                <td className="figure">{r.perMetreGained?.toFixed(2) ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
      <div className="mt-3 grid gap-x-8 gap-y-2 lg:grid-cols-2">
        <Field className="w-32" label={phrases.currency} {...form.register('currency')} />
        {products.map((p, i) => (
          <CostLines key={p.id} form={form} index={i} name={p.name} />
        ))}
      </div>
    </details>
  );
}
