import { Paged } from '../../components/Paged.tsx';
import { planSchema, type Setup } from '@urvek/contract';
import { attenuatorDb, pathLengthM, predictPath, type Path } from '@urvek/core';
import { travelledGround } from '@urvek/draw';
import {
  claimFlags,
  claimOf,
  distanceClaims,
  isSealed,
  OUTRUN,
  plannedPaths,
  plannedRigs,
  planState,
  planTroubles,
  pathLinkOf,
  planBalance,
  seal,
  type SlotState,
  type WalkRow,
} from '@urvek/study';
import type { UseFormReturn } from 'react-hook-form';
import { Link } from 'react-router';
import { useJudgement, useStudy } from '../../api/queries.ts';
import { CriterionChoice } from '../../components/CriterionChoice.tsx';
import { Field, Tick } from '../../components/Field.tsx';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Length } from '../../components/Length.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useSettled } from '../../components/useSettled.ts';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { localMinutes } from '../../state/clock.ts';
import { asFigure } from '../kit/form.ts';
import { AuditList } from '../verdict/AuditList.tsx';
import { useAcknowledge } from '../verdict/useAcknowledge.ts';
import { PowerPanel } from './PowerPanel.tsx';

export const Plan = () => <WithWorkspace open>{(workspace) => <PlanEditor {...workspace} />}</WithWorkspace>;

function PlanEditor(workspace: Ready) {
  const { comparison, walks, id } = workspace;
  const { form, save, error, saving } = useSetupForm(comparison, 'Plan');
  const plan = form.watch('plan');
  const setup: Setup = {
    ...comparison.setup,
    plan: planSchema.isValidSync(plan) ? plan : comparison.setup.plan,
  };
  const blind = isSealed(setup, walks);
  const slots = planState(blind ? seal(setup, id) : setup, walks);
  return (
    <Stage
      title="Plan"
      lead="How often, in which order, and by which criterion: settled before the first walk, so that no product is favoured."
      actions={
        <Link className="btn" to={`/c/${id}/run-sheet`}>
          Run sheet
        </Link>
      }
    >
      <section
        className="sheet flex flex-wrap items-end gap-x-6 gap-y-2 p-4"
        aria-label="Walks and criterion"
      >
        <Field
          className="w-64"
          label="Walks of each product on each path"
          type="number"
          min={0}
          max={100}
          {...form.register('plan.walksEach', { valueAsNumber: true })}
          error={form.formState.errors.plan?.walksEach?.message}
        />
        <CriterionChoice
          value={plan.criterion}
          onChange={(criterion) => form.setValue('plan.criterion', criterion, { shouldDirty: true })}
        />
        <Field
          className="w-36"
          label="Ratio worth telling"
          suffix="×"
          type="number"
          step="any"
          {...form.register('plan.ratio', { valueAsNumber: true })}
          error={form.formState.errors.plan?.ratio?.message}
        />
        <Field
          className="w-44"
          label="Spread of walks (σ of ln)"
          type="number"
          step="any"
          {...form.register('plan.sigma', { valueAsNumber: true })}
          error={form.formState.errors.plan?.sigma?.message}
        />
        <Field
          className="w-28"
          label="Start"
          {...form.register('plan.startTime')}
          error={form.formState.errors.plan?.startTime?.message}
        />
        <Field
          className="w-32"
          label="Set-up of a rig"
          suffix="min"
          type="number"
          step="any"
          {...form.register('plan.setUpMin', { valueAsNumber: true })}
          error={form.formState.errors.plan?.setUpMin?.message}
        />
        <Field className="w-52" label="At the fixed end" {...form.register('plan.atFixedEnd')} />
        <Field className="w-52" label="Walking" {...form.register('plan.atMobileEnd')} />
        <Field className="w-64" label="Second channel" {...form.register('plan.secondChannel')} />
        <Field
          className="w-40"
          label="Day"
          placeholder="2026-05-12"
          {...form.register('plan.day')}
          error={form.formState.errors.plan?.day?.message}
        />
        <Field
          className="w-32"
          label="Time at hand"
          suffix="h"
          inputMode="decimal"
          {...form.register('plan.hoursAtHand', asFigure)}
          error={form.formState.errors.plan?.hoursAtHand?.message}
        />
      </section>
      <Takes form={form} id={id} blind={plan.blind === true} />
      {plannedPaths(setup).map((path) => (
        <section key={path.id} className="sheet mt-4 px-4 py-2" aria-label={`${path.name} and the claims`}>
          <h2>{path.name}</h2>
          <Tape
            title={`${path.name} and the claims`}
            ground={travelledGround(path)}
            measure="travelled"
            claims={claimFlags(comparison.setup, path)}
          />
        </section>
      ))}
      {slots.length > 0 && !blind && <PlanAudit workspace={workspace} setup={setup} />}
      {slots.length === 0 ? (
        <div className="mt-4">
          <Empty title="Nothing to plan yet">
            Enter products in{' '}
            <Link className="underline" to={`/c/${id}/kit`}>
              Kit
            </Link>{' '}
            and a path in{' '}
            <Link className="underline" to={`/c/${id}/paths`}>
              Paths
            </Link>
            ; the order follows from them.
          </Empty>
        </div>
      ) : (
        <div className="mt-4 grid gap-4 lg:grid-cols-[1fr_380px]">
          <div className="grid content-start gap-4">
            <Order id={id} slots={slots} />
            {!blind && <NextSteps workspace={workspace} setup={setup} />}
          </div>
          <Checks setup={setup} />
        </div>
      )}
      {plan.ratio > 1 && plan.sigma > 0 && (
        <div className="mt-4">
          <PowerPanel
            key={`${plan.ratio}/${plan.sigma}`}
            ratio={plan.ratio}
            sigma={plan.sigma}
            walksEach={plan.walksEach}
          />
        </div>
      )}
      <SaveBar
        what="plan"
        dirty={form.formState.isDirty}
        saving={saving}
        error={error}
        onSave={save}
        onDiscard={() => form.reset()}
      />
    </Stage>
  );
}

function Order({ id, slots }: { id: string; slots: SlotState<WalkRow>[] }) {
  const next = slots.find((s) => !s.walk);
  return (
    <section className="sheet p-4" aria-label="Order of walks">
      <h2>Order of walks</h2>
      <Paged items={slots} at={next ? slots.indexOf(next) : 0} what="walks">
        {(page) => (
          <table className="table mt-1">
            <thead>
              <tr>
                <th>Round</th>
                <th>Place</th>
                <th>Product</th>
                <th>Rig</th>
                <th>Path</th>
                <th>State</th>
              </tr>
            </thead>
            <tbody>
              {page.map((slot) => (
                <tr
                  key={`${slot.item.path.id}-${slot.round}-${slot.place}-${slot.item.variant}`}
                  className={slot === next ? 'bg-white' : ''}
                >
                  <td className="figure">{slot.round}</td>
                  <td className="figure">{slot.place}</td>
                  <td className={slot === next ? 'font-bold' : ''}>{slot.item.product.name}</td>
                  <td>
                    {slot.item.rig.name}
                    {slot.item.variant !== 'plain' && (
                      <strong className="block text-[0.8rem]">{slot.item.variant}</strong>
                    )}
                  </td>
                  <td>{slot.item.path.name}</td>
                  <td>
                    {slot.walk ? (
                      <Link className="underline" to={`/c/${id}/trace/${slot.walk.walkId}`}>
                        walk {slot.walk.label}
                      </Link>
                    ) : slot === next ? (
                      <Link className="font-bold underline" to={`/c/${id}/walk`}>
                        walk it next
                      </Link>
                    ) : (
                      <span className="text-faint">to walk</span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Paged>
    </section>
  );
}

/** Which rigs and paths take part, and how they are walked. */
function Takes({ form, id, blind }: { form: UseFormReturn<Setup>; id: string; blind: boolean }) {
  const setup = form.watch();
  const rigs = plannedRigs(setup).map((r) => r.rig.id);
  const paths = plannedPaths(setup).map((p) => p.id);
  const toggle = (list: readonly string[], item: string): string[] =>
    list.includes(item) ? list.filter((x) => x !== item) : [...list, item];
  if (setup.products.length === 0 || setup.paths.length === 0) return null;
  return (
    <section className="sheet mt-4 grid gap-x-8 gap-y-2 p-4 lg:grid-cols-3" aria-label="What takes part">
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
          <p className="text-[0.85rem] text-faint">
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

/** After each walk: where to look next, and what would decide what is open. */
function NextSteps({ workspace, setup }: { workspace: Ready; setup: Setup }) {
  const edited = useSettled(JSON.stringify(setup));
  const { data: points = [] } = useStudy(workspace, ['next points', edited], (study, of) =>
    study.nextPoints(of, JSON.parse(edited) as Setup),
  );
  const { data } = useJudgement(workspace);
  const open =
    data?.verdicts.flatMap((v) =>
      v.verdict.next === undefined
        ? []
        : [
            {
              key: `${v.claim.id}-${v.path?.id ?? ''}`,
              what: `${v.product.name}, “${v.claim.entered}”`,
              next: v.verdict.next,
            },
          ],
    ) ?? [];
  if (points.length === 0 && open.length === 0) return null;
  return (
    <section className="sheet p-4" aria-label="What next">
      <h2>What next</h2>
      <ul className="mt-1 grid gap-1">
        {points.map(({ product, path, heldM, failedM, nextM }) => (
          <li key={`${product.id}-${path.id}`}>
            {product.name} on {path.name}: held to <Length m={heldM} />
            {failedM === undefined ? (
              ', never failed; go farther.'
            ) : (
              <>
                , failed by <Length m={failedM} />;{' '}
                {nextM === undefined ? (
                  'the bracket is as narrow as wanted.'
                ) : (
                  <>
                    next point{' '}
                    <strong>
                      <Length m={nextM} />
                    </strong>
                    , their geometric mean.
                  </>
                )}
              </>
            )}
          </li>
        ))}
        {open.map(({ key, what, next }) => (
          <li key={key}>
            <strong>{what}:</strong> {next}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How often each product leads among those that it is compared with. */
function Balance({ setup }: { setup: Setup }) {
  const table = planBalance(setup).filter((kind) => kind.products.length > 1);
  const uneven = table.filter((kind) => setup.plan.walksEach % kind.balancedAfter !== 0);
  return (
    <div className="min-w-0">
      <h2>Balance</h2>
      {table.length > 0 && (
        <table className="table mt-1">
          <thead>
            <tr>
              <th>Product</th>
              <th>Leads, of {setup.plan.walksEach} rounds</th>
            </tr>
          </thead>
          <tbody>
            {table.flatMap((kind) =>
              kind.products.map((p) => (
                <tr key={p.name}>
                  <td>{p.name}</td>
                  <td className="figure">{p.leads}</td>
                </tr>
              )),
            )}
          </tbody>
        </table>
      )}
      <p className="mt-1">
        {table.length === 0
          ? 'Nothing is compared with another of its kind.'
          : uneven.length === 0
            ? 'Every product stands in every place equally often.'
            : `Not balanced: choose a multiple of ${Math.max(...uneven.map((k) => k.balancedAfter))} walks, or one product leads more often.`}
      </p>
    </div>
  );
}

/** The audits on the plan as it stands: mending costs nothing yet. */
function PlanAudit({ workspace, setup }: { workspace: Ready; setup: Setup }) {
  const { acknowledge, reopen, error } = useAcknowledge(workspace.comparison);
  const asked = useSettled(JSON.stringify(setup));
  const { data: audits } = useStudy(workspace, ['plan audit', asked], (study, of) =>
    study.planAudit(of, JSON.parse(asked) as Setup),
  );
  return (
    <section className="sheet mt-4 p-4" aria-label="Fairness of the plan">
      <h2>Is it fair?</h2>
      {error && <Trouble error={error} />}
      {!audits ? (
        <Loading what="the audit" />
      ) : audits.length === 0 ? (
        <p>The audit finds nothing to question in what is planned and walked so far.</p>
      ) : (
        <div className="mt-2">
          <AuditList audits={audits} onAcknowledge={acknowledge} onReopen={reopen} />
        </div>
      )}
    </section>
  );
}

function Checks({ setup }: { setup: Setup }) {
  const { products, paths } = setup;
  const troubles = planTroubles(setup, localMinutes);
  const claims = products.flatMap((p) => distanceClaims(p).map((c) => ({ product: p.name, ...claimOf(c) })));
  const expected = plannedPaths(setup).flatMap((path) =>
    plannedRigs(setup).flatMap(({ product, rig }) => {
      const link = pathLinkOf(product, rig);
      const reachM =
        link &&
        predictPath(path as Path, link, 2).events.find((e) => e.criterion === 'first dropout')?.medianM;
      if (!link) return [];
      return [
        {
          key: `${path.id}-${rig.id}`,
          text:
            reachM === undefined
              ? `${product.name} on ${path.name}: predicted to hold to the end; this will be a bound.`
              : `${product.name} on ${path.name}: predicted ${reachM.toFixed(0)} m, the path is ${(pathLengthM(path) / reachM).toFixed(1)}× that${pathLengthM(path) < OUTRUN * reachM ? `, short of ${OUTRUN}×` : ''}.`,
        },
      ];
    }),
  );
  return (
    <section className="sheet grid min-w-0 content-start gap-4 p-4" aria-label="Checks of the plan">
      <Balance setup={setup} />
      <div>
        <h2>Can it be done?</h2>
        {troubles.length === 0 ? (
          <p>Nobody and nothing is needed twice at once, and the batteries last.</p>
        ) : (
          <ul className="mt-1 grid gap-1">
            {troubles.map((t) => (
              <li key={t} className="border-l-4 border-lost pl-2">
                {t}
              </li>
            ))}
          </ul>
        )}
      </div>
      <div>
        <h2>Does the path outrun claims and predictions?</h2>
        <ul className="mt-1 grid gap-1.5">
          {paths.flatMap((path) =>
            claims
              .filter((c) => c.condition === 'unstated' || c.condition === path.condition)
              .map((claim) => {
                const ratio = pathLengthM(path) / claim.distanceM;
                return (
                  <li key={`${path.id}-${claim.product}-${claim.entered}`}>
                    {path.name} is <span className="figure">{ratio.toFixed(1)}×</span> {claim.product}’s claim
                    of {claim.entered} (<Length m={claim.distanceM} />
                    ):{' '}
                    {ratio >= OUTRUN
                      ? 'enough.'
                      : `${ratio >= 1 ? `short of ${OUTRUN}×; a walk that holds to the end will give a bound` : 'it can never settle it'}. An attenuator of ${attenuatorDb(pathLengthM(path), OUTRUN * claim.distanceM, 2).toFixed(0)} dB would do instead (exponent 2).`}
                  </li>
                );
              }),
          )}
        </ul>
        {claims.length === 0 && <p className="text-faint">No claim is entered.</p>}
        <ul className="mt-1 grid gap-1.5">
          {expected.map(({ key, text }) => (
            <li key={key}>{text}</li>
          ))}
        </ul>
      </div>
      <p className="text-faint">
        Each walk begins at the zero point with a baseline. One walk gives an interval; the estimate begins
        with two.
      </p>
    </section>
  );
}
