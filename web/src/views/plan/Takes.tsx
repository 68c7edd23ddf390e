import type { Setup } from '@urvek/contract';
import { plannedPaths, plannedRigs } from '@urvek/study';
import type { UseFormReturn } from 'react-hook-form';
import { Link } from 'react-router';
import { Tick } from '../../components/Field.tsx';

/** Which rigs and paths take part, and how they are walked. */
export function Takes({ form, id, blind }: { form: UseFormReturn<Setup>; id: string; blind: boolean }) {
  const setup = form.watch();
  const rigs = plannedRigs(setup).map((r) => r.rig.id);
  const paths = plannedPaths(setup).map((p) => p.id);
  const toggle = (list: readonly string[], item: string): string[] =>
    list.includes(item) ? list.filter((x) => x !== item) : [...list, item];
  if (setup.products.length === 0 || setup.paths.length === 0) return null;
  return (
    <section
      className="grid gap-x-8 gap-y-2 border-t border-rule p-3 lg:grid-cols-3"
      aria-label="What takes part"
    >
      <fieldset>
        <legend className="font-bold">Rigs</legend>
        {setup.products.flatMap((p) =>
          p.rigs.map((r) => (
            <Tick
              key={r.id}
              label={`${p.name}: ${r.name}`}
              checked={rigs.includes(r.id)}
              onChange={() => form.setValue('plan.rigIds', toggle(rigs, r.id), { shouldDirty: true })}
            />
          )),
        )}
      </fieldset>
      <fieldset>
        <legend className="font-bold">Paths</legend>
        {setup.paths.map((p) => (
          <Tick
            key={p.id}
            label={p.name}
            checked={paths.includes(p.id)}
            onChange={() => form.setValue('plan.pathIds', toggle(paths, p.id), { shouldDirty: true })}
          />
        ))}
      </fieldset>
      <fieldset>
        <legend className="font-bold">How</legend>
        <Tick
          label="the first walk of a path once more at the end"
          {...form.register('plan.repeatBaseline')}
        />
        <Tick label="each rig once with its ends swapped" {...form.register('plan.swapEnds')} />
        <Tick label="the products of a round side by side" {...form.register('plan.sideBySide')} />
        <Tick label="blind: letters for names until the walks are in" {...form.register('plan.blind')} />
        {blind && (
          <p className="text-[0.87rem] text-faint">
            Whoever hands out the products reads the{' '}
            <Link className="underline" to={`/c/${id}/key-sheet`}>
              key sheet
            </Link>
            ; whoever judges does not.
          </p>
        )}
      </fieldset>
    </section>
  );
}
