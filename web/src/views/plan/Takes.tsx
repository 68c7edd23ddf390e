import type { Setup } from '@urvek/contract';
import { plannedPaths, plannedRigs } from '@urvek/study';
import type { UseFormReturn } from 'react-hook-form';
import { Link } from 'react-router';
import { Tick } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

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
      aria-label={phrases.whatTakesPart}
    >
      <fieldset>
        <legend className="font-bold">{phrases.rigs}</legend>
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
        <legend className="font-bold">{phrases.paths}</legend>
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
        <legend className="font-bold">{phrases.how}</legend>
        <Tick label={phrases.theFirstWalkOfAPath} {...form.register('plan.repeatBaseline')} />
        <Tick label={phrases.eachRigOnceWithItsEnds} {...form.register('plan.swapEnds')} />
        <Tick label={phrases.theProductsOfARoundSide} {...form.register('plan.sideBySide')} />
        <Tick label={phrases.blindLettersForNamesUntilThe} {...form.register('plan.blind')} />
        {blind && (
          <p className="text-[0.87rem] text-faint">
            {phrases.whoeverHandsOutTheProductsReads}
            <Link className="underline" to={`/c/${id}/key-sheet`}>
              {phrases.keySheet}
            </Link>
            {phrases.whoeverJudgesDoesNot}
          </p>
        )}
      </fieldset>
    </section>
  );
}
