import { asFigure } from '../../components/figures.ts';
import { Field, Tick } from '../../components/Field.tsx';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

/** From and to, each way: by cable, and as it was sold. */
const RATES = [
  [phrases.lineByCableDown, 'behindDownMbps', 'behindDownMostMbps'],
  [phrases.lineByCableUp, 'behindUpMbps', 'behindUpMostMbps'],
  [phrases.soldAsDown, 'planDownMbps', 'planDownMostMbps'],
  [phrases.soldAsUp, 'planUpMbps', 'planUpMostMbps'],
] as const;

/** What the line behind the fixed end gives: it can be what was read, and is asked for where routers are. */
export function LineFields({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}` as const;
  const errors = form.formState.errors.paths?.[index];
  if (!form.watch('products').some((p) => p.kindId === 'router')) return null;
  return (
    <>
      {RATES.map(([label, from, to]) => (
        <div key={from} className="flex items-end gap-1.5">
          <Field
            className="w-32"
            label={label}
            inputMode="decimal"
            {...form.register(`${at}.${from}`, asFigure)}
            error={errors?.[from]?.message}
          />
          <Field
            className="w-32"
            label={phrases.to2}
            aria-label={phrases.to3(label)}
            suffix="Mbit/s"
            inputMode="decimal"
            {...form.register(`${at}.${to}`, asFigure)}
            error={errors?.[to]?.message}
          />
        </div>
      ))}
      <Field
        className="w-56"
        label={phrases.serverThatReadingsAreTakenAgainst}
        {...form.register(`${at}.lineServer`, { setValueAs: (v: string) => v || undefined })}
        error={errors?.lineServer?.message}
      />
      <Tick label={phrases.itStandsInsideTheNetworkNo} {...form.register(`${at}.lineServerInside`)} />
    </>
  );
}
