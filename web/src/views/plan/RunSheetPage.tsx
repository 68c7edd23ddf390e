import { clockText, kindOf, pathLengthM } from '@urvek/core';
import { travelledGround } from '@urvek/draw';
import { GRACE_MIN, planDaylight, plannedPaths, planTroubles, SETTLE_MIN, timedPlan } from '@urvek/study';
import { Printer } from 'lucide-react';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Heading } from '../../components/Heading.tsx';
import { Length } from '../../components/Length.tsx';
import { Empty } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { localMinutes } from '../../state/clock.ts';
import { Calls } from './Calls.tsx';
import * as phrases from './phrases.ts';

/** One page for a clipboard: who walks what, when, and what to do when nobody answers. */
export function RunSheetPage({ comparison: { title, setup } }: Ready) {
  const { plan } = setup;
  const times = timedPlan(setup);
  const last = times.at(-1);
  const troubles = planTroubles(setup, localMinutes);
  const sun = planDaylight(setup);
  return (
    <main id="work" className="mx-auto w-full max-w-[980px] px-4 py-5">
      <div className="no-print mb-3 flex justify-end">
        <button className="btn btn-main" onClick={() => window.print()}>
          <Printer aria-hidden size={16} />
          {phrases.printTheRunSheet}
        </button>
      </div>
      <article className="sheet grid gap-4 p-8 print:p-0">
        <header>
          <Heading title={phrases.runSheet2(title)}>{phrases.runSheet2(title)}</Heading>
        </header>
        {!last ? (
          <Empty title={phrases.nothingIsPlanned}>{phrases.enterProductsAPathAndThe}</Empty>
        ) : (
          <>
            <dl className="grid grid-cols-2 gap-x-8 gap-y-1 sm:grid-cols-4">
              {[
                [phrases.atTheFixedEnd2, plan.atFixedEnd],
                [phrases.walking2, plan.atMobileEnd],
                [phrases.secondChannel2, plan.secondChannel],
                [phrases.backBy, clockText(last.toMin + GRACE_MIN)],
                [phrases.day, plan.day || phrases.notSet],
                [
                  phrases.sunset,
                  sun?.sunsetMs === undefined ? phrases.notKnownHere : clockText(localMinutes(sun.sunsetMs)),
                ],
              ].map(([what, value]) => (
                <div key={what}>
                  <dt className="text-[0.87rem] text-faint">{what}</dt>
                  <dd className="min-h-6 border-b border-ink font-bold">{value}</dd>
                </div>
              ))}
            </dl>
            {troubles.map((t) => (
              <p key={t} className="border-l-4 border-lost pl-2">
                {t}
              </p>
            ))}
            {plannedPaths(setup).map((path) => (
              <figure key={path.id}>
                <figcaption>
                  <strong>{path.name}</strong>, <Length m={pathLengthM(path)} />
                  {path.hazards && <>{phrases.mind(path.hazards)}</>}
                  {path.hazardsAt?.map((h) => (
                    <span key={h.what + h.atM}>
                      {phrases.mindAt(h.what)}
                      <Length m={h.atM} />
                    </span>
                  ))}
                  {path.permission && <>{phrases.permission(path.permission)}</>}
                </figcaption>
                <Tape title={path.name} ground={travelledGround(path)} measure="travelled" />
              </figure>
            ))}
            <table className="table">
              <thead>
                <tr>
                  <th>{phrases.clock}</th>
                  <th>{phrases.stepOff}</th>
                  <th>{phrases.doneBy}</th>
                  <th>{phrases.product}</th>
                  <th>{phrases.rig}</th>
                  <th>{phrases.path}</th>
                  <th>{phrases.walked}</th>
                  <th className="w-1/4">{phrases.notes}</th>
                </tr>
              </thead>
              <tbody>
                {times.map(({ item: slot, fromMin, walkingFromMin, toMin }) => (
                  <tr key={`${slot.item.path.id}-${slot.round}-${slot.place}-${slot.item.variant}`}>
                    <td className="figure">{clockText(fromMin)}</td>
                    <td className="figure">{clockText(walkingFromMin)}</td>
                    <td className="figure">{clockText(toMin)}</td>
                    <td className="font-bold">{slot.item.product.name}</td>
                    <td>
                      {slot.item.rig.name}
                      {slot.item.variant !== 'plain' && <strong> ({slot.item.variant})</strong>}
                    </td>
                    <td>{slot.item.path.name}</td>
                    <td>
                      <span aria-hidden className="inline-block size-4 border border-ink" />
                    </td>
                    <td />
                  </tr>
                ))}
              </tbody>
            </table>
            {plannedPaths(setup)
              .filter(
                (p) => p.checkpoints.length > 0 && setup.products.some((x) => kindOf(x.kindId).bothWays),
              )
              .map((path) => (
                <Calls key={path.id} path={path} />
              ))}
            <p className="text-[0.87rem] text-faint">
              {phrases.outAndBackAt14(SETTLE_MIN, plan.setUpMin)}
              {plan.sideBySide && phrases.theProductsOfARoundAre}
              {phrases.lookUpBeforeYouLookDown}
            </p>
          </>
        )}
      </article>
    </main>
  );
}
