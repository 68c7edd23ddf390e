import { claimFlags, claimOf, distanceClaims, OUTRUN, planState, type Setup, type SlotState } from '@urvek/contract';
import { attenuatorDb, balancedAfterRounds, pathLengthM, type Criterion } from '@urvek/core';
import { travelledGround } from '@urvek/draw';
import { Link } from 'react-router';
import { CriterionChoice } from '../../components/CriterionChoice.tsx';
import { Field } from '../../components/Field.tsx';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Length } from '../../components/Length.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { PowerPanel } from './PowerPanel.tsx';

export const Plan = () => <WithWorkspace>{(workspace) => <PlanEditor {...workspace} />}</WithWorkspace>;

function PlanEditor({ comparison, findings, id }: Ready) {
  const { form, save, error, saving } = useSetupForm(comparison, 'Plan');
  const plan = form.watch('plan');
  const setup: Setup = { ...comparison.setup, plan: Number.isInteger(plan.walksEach) && plan.walksEach >= 0 && plan.walksEach <= 100 ? plan : comparison.setup.plan };
  const slots = planState(setup, findings);
  return (
    <Stage title="Plan" lead="How often, in which order, and by which criterion: settled before the first walk, so that no product is favoured." actions={<Link className="btn" to={`/c/${id}/run-sheet`}>Run sheet</Link>}>
      <section className="sheet flex flex-wrap items-end gap-x-6 gap-y-2 p-4" aria-label="Walks and criterion">
        <Field className="w-64" label="Walks of each product on each path" type="number" min={0} max={100} {...form.register('plan.walksEach', { valueAsNumber: true })} error={form.formState.errors.plan?.walksEach?.message} />
        <CriterionChoice value={plan.criterion as Criterion} onChange={(criterion) => form.setValue('plan.criterion', criterion, { shouldDirty: true })} />
        <Field className="w-36" label="Ratio worth telling" suffix="×" type="number" step="any" {...form.register('plan.ratio', { valueAsNumber: true })} error={form.formState.errors.plan?.ratio?.message} />
        <Field className="w-44" label="Spread of walks (σ of ln)" type="number" step="any" {...form.register('plan.sigma', { valueAsNumber: true })} error={form.formState.errors.plan?.sigma?.message} />
        <Field className="w-28" label="Start" {...form.register('plan.startTime')} error={form.formState.errors.plan?.startTime?.message} />
        <Field className="w-32" label="Set-up of a rig" suffix="min" type="number" step="any" {...form.register('plan.setUpMin', { valueAsNumber: true })} error={form.formState.errors.plan?.setUpMin?.message} />
        <Field className="w-52" label="At the fixed end" {...form.register('plan.atFixedEnd')} />
        <Field className="w-52" label="Walking" {...form.register('plan.atMobileEnd')} />
        <Field className="w-64" label="Second channel" {...form.register('plan.secondChannel')} />
      </section>
      {comparison.setup.paths.map((path) => (
        <section key={path.id} className="sheet mt-4 px-4 py-2" aria-label={`${path.name} and the claims`}>
          <h2>{path.name}</h2>
          <Tape title={`${path.name} and the claims`} ground={travelledGround(path)} measure="travelled" claims={claimFlags(comparison.setup, path)} />
        </section>
      ))}
      {slots.length === 0 ? (
        <div className="mt-4"><Empty title="Nothing to plan yet">Enter products in <Link className="underline" to={`/c/${id}/kit`}>Kit</Link> and a path in <Link className="underline" to={`/c/${id}/paths`}>Paths</Link>; the order follows from them.</Empty></div>
      ) : (
        <div className="mt-4 grid gap-4 lg:grid-cols-[1fr_380px]">
          <Order id={id} slots={slots} />
          <Checks setup={setup} slots={slots} />
        </div>
      )}
      {plan.ratio > 1 && plan.sigma > 0 && <div className="mt-4"><PowerPanel key={`${plan.ratio}/${plan.sigma}`} ratio={plan.ratio} sigma={plan.sigma} walksEach={plan.walksEach} /></div>}
      <SaveBar what="plan" dirty={form.formState.isDirty} saving={saving} error={error} onSave={save} onDiscard={() => form.reset()} />
    </Stage>
  );
}

function Order({ id, slots }: { id: string; slots: SlotState[] }) {
  const next = slots.find((s) => !s.finding);
  return (
    <section className="sheet p-4" aria-label="Order of walks">
      <h2>Order of walks</h2>
      <table className="table mt-1">
        <thead><tr><th>Round</th><th>Place</th><th>Product</th><th>Rig</th><th>Path</th><th>State</th></tr></thead>
        <tbody>
          {slots.map((slot) => (
            <tr key={`${slot.item.path.id}-${slot.round}-${slot.place}`} className={slot === next ? 'bg-white' : ''}>
              <td className="figure">{slot.round}</td><td className="figure">{slot.place}</td>
              <td className={slot === next ? 'font-bold' : ''}>{slot.item.product.name}</td><td>{slot.item.rig.name}</td><td>{slot.item.path.name}</td>
              <td>{slot.finding ? <Link className="underline" to={`/c/${id}/trace/${slot.finding.walkId}`}>walk {slot.finding.label}</Link> : slot === next ? <Link className="font-bold underline" to={`/c/${id}/walk`}>walk it next</Link> : <span className="text-faint">to walk</span>}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Checks({ setup, slots }: { setup: Setup; slots: SlotState[] }) {
  const { products, paths, plan } = setup;
  const after = balancedAfterRounds(products.length);
  const balanced = plan.walksEach % after === 0;
  const claims = products.flatMap((p) => distanceClaims(p).map((c) => ({ product: p.name, ...claimOf(c) })));
  return (
    <section className="sheet grid content-start gap-4 p-4" aria-label="Checks of the plan">
      <div>
        <h2>Balance</h2>
        <table className="table mt-1">
          <thead><tr><th>Product</th>{products.map((p, i) => <th key={p.id}>place {i + 1}</th>)}</tr></thead>
          <tbody>{products.map((p) => <tr key={p.id}><td>{p.name}</td>{products.map((q, place) => <td key={q.id} className="figure">{slots.filter((s) => s.item.product.id === p.id && s.place === place + 1).length}</td>)}</tr>)}</tbody>
        </table>
        <p className="mt-1">{balanced ? 'Every product stands in every place equally often.' : `Not balanced: choose a multiple of ${after} walks, or one product leads more often.`}</p>
      </div>
      <div>
        <h2>Does the path outrun the claims?</h2>
        <ul className="mt-1 grid gap-1.5">
          {paths.flatMap((path) => claims.filter((c) => c.condition === 'unstated' || c.condition === path.condition).map((claim) => {
            const ratio = pathLengthM(path) / claim.distanceM;
            return <li key={`${path.id}-${claim.product}-${claim.entered}`}>{path.name} is <span className="figure">{ratio.toFixed(1)}×</span> {claim.product}’s claim of {claim.entered} (<Length m={claim.distanceM} />): {ratio >= OUTRUN ? 'enough.' : `${ratio >= 1 ? `short of ${OUTRUN}×; a walk that holds to the end will give a bound` : 'it can never settle it'}. An attenuator of ${attenuatorDb(pathLengthM(path), OUTRUN * claim.distanceM, 2).toFixed(0)} dB would do instead (exponent 2).`}</li>;
          }))}
        </ul>
        {claims.length === 0 && <p className="text-faint">No claim is entered.</p>}
      </div>
      <p className="text-faint">Each walk begins at the zero point with a baseline. One walk gives an interval; the estimate begins with two.</p>
    </section>
  );
}
