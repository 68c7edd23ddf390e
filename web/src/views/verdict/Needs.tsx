import { CRITERIA, KINDS, kindOf, SIDES, USUAL_NEEDS } from '@urvek/core';
import { marginText } from '@urvek/draw';
import type { JudgementView, NeedJudged } from '@urvek/study';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field } from '../../components/Field.tsx';
import { Length } from '../../components/Length.tsx';
import { Empty } from '../../components/States.tsx';
import { asFigure, newId, type SetupForm } from '../kit/form.ts';
import { OutcomeMark } from './OutcomeMark.tsx';

/** Uses against what was found, and the uses themselves. */
export function Needs({ form, judged }: { form: SetupForm; judged: JudgementView }) {
  return (
    <div className="grid gap-4">
      {judged.needs.length === 0 ? (
        <Empty title="No need is entered">
          A need is a use with a distance, a condition and a criterion. Take one from the list below, or write
          your own.
        </Empty>
      ) : (
        <NeedsTable needs={judged.needs} />
      )}
      <Costs form={form} judged={judged} />
      <NeedsForm form={form} />
    </div>
  );
}

function NeedsTable({ needs }: { needs: readonly NeedJudged[] }) {
  return (
    <section className="sheet overflow-x-auto p-4" aria-label="Needs judged">
      <table className="table">
        <thead>
          <tr>
            <th>Use</th>
            <th>Product</th>
            <th>Verdict</th>
            <th>Margin</th>
            <th>Why</th>
          </tr>
        </thead>
        <tbody>
          {needs.map(({ need, product, path, verdict }, i) => (
            <tr key={`${need.id}-${product.id}`} data-need={verdict.outcome}>
              <td>
                {needs[i - 1]?.need.id === need.id ? (
                  ''
                ) : (
                  <>
                    <strong>{need.use}</strong>
                    <span className="block text-[0.85rem] text-faint">
                      {need.entered}, {need.condition}
                      {need.side === undefined ? '' : `, ${need.side}`}
                    </span>
                  </>
                )}
              </td>
              <td>
                {product.name}
                {path && <span className="block text-[0.85rem] text-faint">{path.name}</span>}
              </td>
              <td>
                <OutcomeMark outcome={verdict.outcome} />
              </td>
              <td className="figure whitespace-nowrap">{marginText(verdict.margin, verdict.atLeast)}</td>
              <td>{verdict.reason}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[0.85rem] text-faint">
        Judged on the distance to which 9 of 10 walks hold; the margin is that distance over the need. Of
        several paths of its condition, the one that serves it worst counts.
      </p>
    </section>
  );
}

function NeedsForm({ form }: { form: SetupForm }) {
  const rows = useFieldArray({ control: form.control, name: 'needs', keyName: 'key' });
  const errors = form.formState.errors.needs;
  const kinds = [...new Set(form.watch('products').map((p) => p.kindId))];
  const usual = USUAL_NEEDS.filter((u) => kinds.includes(u.kindId));
  const [chosen, setChosen] = useState(0);
  return (
    <fieldset className="sheet p-4">
      <div className="flex flex-wrap items-end gap-2">
        <legend className="float-left flex-1 font-bold">Needs</legend>
        {usual.length > 0 && (
          <Choice
            className="w-96"
            label="Usual in the trade"
            value={chosen}
            onChange={(e) => setChosen(Number(e.target.value))}
          >
            {usual.map((u, i) => (
              <option key={u.use} value={i}>
                {kindOf(u.kindId).name}: {u.use}, {u.entered}
              </option>
            ))}
          </Choice>
        )}
        {usual.length > 0 && (
          <button
            type="button"
            className="btn"
            onClick={() => {
              const u = usual[chosen] ?? usual[0];
              if (u) rows.append({ id: newId(), criterion: 'by kind', ...u });
            }}
          >
            Take it
          </button>
        )}
        <button
          type="button"
          className="btn"
          onClick={() =>
            rows.append({
              id: newId(),
              use: '',
              entered: '',
              condition: 'open',
              kindId: kinds[0] ?? 'microphone',
              criterion: 'by kind',
            })
          }
        >
          Write a need
        </button>
      </div>
      {rows.fields.map((field, i) => (
        <div
          key={field.key}
          className="mt-1 grid grid-cols-2 items-end gap-2 lg:grid-cols-[2fr_0.8fr_1fr_1.2fr_1.2fr_1.2fr_auto]"
        >
          <Field label="Use" {...form.register(`needs.${i}.use`)} error={errors?.[i]?.use?.message} />
          <Field
            label="Distance"
            {...form.register(`needs.${i}.entered`)}
            error={errors?.[i]?.entered?.message}
          />
          <Choice label="Condition" {...form.register(`needs.${i}.condition`)}>
            <option>open</option>
            <option>obstructed</option>
            <option>unstated</option>
          </Choice>
          <Choice label="Kind" {...form.register(`needs.${i}.kindId`)}>
            {KINDS.map((k) => (
              <option key={k.id} value={k.id}>
                {k.name}
              </option>
            ))}
          </Choice>
          <Choice label="Criterion" {...form.register(`needs.${i}.criterion`)}>
            <option>by kind</option>
            {CRITERIA.map((c) => (
              <option key={c}>{c}</option>
            ))}
          </Choice>
          <Choice
            label="Direction"
            {...form.register(`needs.${i}.side`, { setValueAs: (v: string) => v || undefined })}
          >
            <option value="">as walked</option>
            {SIDES.map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Choice>
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={`Remove need ${i + 1}`}
            onClick={() => rows.remove(i)}
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </div>
      ))}
    </fieldset>
  );
}

/** Price and everything needed to reach the range, per metre gained. */
function Costs({ form, judged }: { form: SetupForm; judged: JudgementView }) {
  const products = form.watch('products');
  const currency = form.watch('currency') ?? '';
  return (
    <details className="sheet p-4" open={judged.costs.length > 0}>
      <summary className="cursor-pointer font-head text-[1.05rem] font-bold">Cost of a metre</summary>
      {judged.costs.map((c) => (
        <table key={c.title} className="table mt-2">
          <caption className="text-left font-bold">{c.title}</caption>
          <thead>
            <tr>
              <th>Product</th>
              <th>Everything needed</th>
              <th>9 of 10 walks hold to</th>
              <th>Per metre</th>
              <th>Per metre gained over the cheapest</th>
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
        <Field className="w-32" label="Currency" {...form.register('currency')} />
        {products.map((p, i) => (
          <CostLines key={p.id} form={form} index={i} name={p.name} />
        ))}
      </div>
    </details>
  );
}

function CostLines({ form, index, name }: { form: SetupForm; index: number; name: string }) {
  const at = `products.${index}.costs` as const;
  const rows = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.products?.[index]?.costs;
  return (
    <fieldset>
      <div className="flex items-center gap-2 border-b border-rule">
        <legend className="float-left flex-1">{name}</legend>
        <button
          type="button"
          className="btn btn-quiet"
          aria-label={`Add a cost of ${name}`}
          onClick={() => rows.append({ what: rows.fields.length === 0 ? 'the product' : '', amount: 0 })}
        >
          Add a cost
        </button>
      </div>
      {rows.fields.map((field, i) => (
        <div key={field.key} className="grid grid-cols-[2fr_1fr_auto] items-end gap-2">
          <Field
            label="What"
            hideLabel
            {...form.register(`${at}.${i}.what`)}
            error={errors?.[i]?.what?.message}
          />
          <Field
            label="Price"
            hideLabel
            inputMode="decimal"
            {...form.register(`${at}.${i}.amount`, asFigure)}
            error={errors?.[i]?.amount?.message}
          />
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={`Remove cost ${i + 1} of ${name}`}
            onClick={() => rows.remove(i)}
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </div>
      ))}
    </fieldset>
  );
}
