import { HowMade } from '../../components/HowMade.tsx';
import { CRITERIA, CRITERION_MEANING, outcomeOf, type JoinedDevice, type Side } from '@urvek/core';
import { intervalText } from '@urvek/draw';
import type { Finding } from '@urvek/study';
import { Term } from '../../components/Term.tsx';
import { useUnit } from '../../state/unit.ts';
import { DropoutSummary } from './DropoutSummary.tsx';
import { LateByBeacon } from './LateByBeacon.tsx';
import { OtherDevices } from './OtherDevices.tsx';
import * as phrases from './phrases.ts';

export function Outcomes({ finding, joined }: { finding: Finding; joined: readonly JoinedDevice[] }) {
  const [unit] = useUnit();
  const { directions, trace } = finding;
  const sides: Side[] =
    directions.length > 1
      ? [...directions.map((d) => d.direction), 'both ways']
      : directions.map((d) => d.direction);
  // Good, bad and good again on the way out: first dropout and last usable then differ, and both are shown.
  const out = trace.stretches.filter((s) => !s.returning);
  const firstLost = out.findIndex((s) => s.state === 'lost');
  const comesBack = firstLost !== -1 && out.slice(firstLost).some((s) => s.grade >= 3);
  return (
    <section className="py-1" aria-label={phrases.outcomes}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2>
          {phrases.outcomesIn}
          <Term of="separation" />
          {phrases.eachByIts}
          <Term of="criterion" />
        </h2>
        <HowMade of="places" what={phrases.aPlace} />
      </div>
      <table className="table mt-1 text-[0.87rem]">
        <thead>
          <tr>
            <th>{phrases.criterion}</th>
            {sides.map((side) => (
              <th key={side}>{sides.length > 1 ? side : phrases.interval}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {CRITERIA.map((criterion) => (
            <tr key={criterion}>
              <td title={CRITERION_MEANING[criterion]}>{criterion}</td>
              {sides.map((side) => {
                const o = outcomeOf(finding, criterion, side);
                return (
                  <td key={side}>
                    {o.interval ? (
                      <span className="figure">{intervalText(o.interval, unit)}</span>
                    ) : (
                      <span className="text-faint">{o.absent}</span>
                    )}
                    {o.between && (
                      <span className="block text-faint">
                        {[
                          o.between.held === undefined ? undefined : phrases.heldAt(o.between.held),
                          o.between.failed === undefined ? undefined : phrases.failedAt(o.between.failed),
                        ]
                          .filter((t) => t !== undefined)
                          .join(', ')}
                      </span>
                    )}
                    {o.bent && <span className="text-faint">{phrases.bentPathLeastAndGreatest}</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <OtherDevices finding={finding} joined={joined} />
      <LateByBeacon late={trace.late} />
      {trace.turnInferred && (
        <p className="mt-2 border-l-4 border-degraded pl-2">{phrases.noTurnWasLoggedDistancesThat}</p>
      )}
      {comesBack && (
        <p className="mt-2 border-l-4 border-degraded pl-2">{phrases.coverageComesBackBeyondTheFirst}</p>
      )}
      <DropoutSummary finding={finding} />
    </section>
  );
}
