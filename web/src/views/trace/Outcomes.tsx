import { HowMade } from '../../components/HowMade.tsx';
import { CRITERIA, CRITERION_MEANING, outcomeOf, type JoinedDevice, type Side } from '@urvek/core';
import { intervalText } from '@urvek/draw';
import type { Finding } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import { Term } from '../../components/Term.tsx';
import { useUnit } from '../../state/unit.ts';

export function Outcomes({ finding, joined }: { finding: Finding; joined: readonly JoinedDevice[] }) {
  const [unit] = useUnit();
  const { summary, directions, seconds, trace } = finding;
  const sides: Side[] =
    directions.length > 1
      ? [...directions.map((d) => d.direction), 'both ways']
      : directions.map((d) => d.direction);
  // Good, bad and good again on the way out: first dropout and last usable then differ, and both are shown.
  const out = trace.stretches.filter((s) => !s.returning);
  const firstLost = out.findIndex((s) => s.state === 'lost');
  const comesBack = firstLost !== -1 && out.slice(firstLost).some((s) => s.grade >= 3);
  return (
    <section className="py-1" aria-label="Outcomes">
      <h2>Outcomes, in separation</h2>
      <p className="text-[0.87rem]">
        Ranges are stated in <Term of="separation" />; each is meant by its <Term of="criterion" />.{' '}
        <HowMade of="places" what="a place" />
      </p>
      <table className="table mt-1 text-[0.87rem]">
        <thead>
          <tr>
            <th>Criterion</th>
            {sides.map((side) => (
              <th key={side}>{sides.length > 1 ? side : 'Interval'}</th>
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
                          o.between.held === undefined ? undefined : `held at ${o.between.held}`,
                          o.between.failed === undefined ? undefined : `failed at ${o.between.failed}`,
                        ]
                          .filter((t) => t !== undefined)
                          .join(', ')}
                      </span>
                    )}
                    {o.bent && <span className="text-faint"> (bent path: least and greatest)</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {seconds.length > 0 && (
        <>
          <h3 className="mt-3">What the other device says of the same direction, side by side</h3>
          <table className="table mt-1" data-seconds>
            <thead>
              <tr>
                <th>Criterion</th>
                <th>The walk’s own device</th>
                {seconds.map((s) => (
                  <th key={s.joined.deviceId}>{s.joined.role}, joined</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {CRITERIA.slice(0, 5).map((criterion) => (
                <tr key={criterion}>
                  <td>{criterion}</td>
                  {[finding, ...seconds].map((of, i) => {
                    const o = of.outcomes.find((x) => x.criterion === criterion);
                    return (
                      <td key={i} className="figure">
                        {o?.interval ? intervalText(o.interval, unit) : o?.absent}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {joined.length > 0 && (
        <ul className="mt-2 text-[0.87rem]" aria-label="Devices that joined">
          {joined.map((j) => (
            <li key={j.deviceId}>
              {j.role} watched {j.direction}; its clock by {j.by}, ±{' '}
              {j.uncertaintyS < 1
                ? `${(1000 * j.uncertaintyS).toFixed(0)} ms`
                : `${j.uncertaintyS.toFixed(1)} s`}
              .
            </li>
          ))}
        </ul>
      )}
      {trace.turnInferred && (
        <p className="mt-2 border-l-4 border-degraded pl-2">
          No turn was logged: distances that fall are taken as the way back.
        </p>
      )}
      {comesBack && (
        <p className="mt-2 border-l-4 border-degraded pl-2">
          Coverage comes back beyond the first loss: a farther place works where a nearer one fails. First
          dropout and last usable differ.
        </p>
      )}
      <p className="mt-2">
        Dropouts: <span className="figure">{summary.dropouts.length}</span>,{' '}
        <span className="figure">{summary.lostS.toFixed(0)} s</span> in all, the longest{' '}
        <span className="figure">{summary.longestDropoutS.toFixed(0)} s</span>.
        {summary.atStands && (
          <>
            {' '}
            Usable at <span className="figure">{summary.atStands.usable}</span> of{' '}
            <span className="figure">{summary.atStands.stands}</span> stands of the way out, at most{' '}
            <span className="figure">{summary.atStands.longest.stands}</span> in a row; between stands nothing
            is known.
          </>
        )}
        {summary.usableShare !== undefined && (
          <>
            {' '}
            Usable on <span className="figure">{(100 * summary.usableShare).toFixed(0)} %</span> of the way
            out
            {summary.longestUsableM !== undefined && (
              <>
                , the longest stretch <Length m={summary.longestUsableM} />
              </>
            )}
            .
          </>
        )}
        {trace.gaps > 0 && (
          <>
            {' '}
            <strong>
              {trace.gaps} {trace.gaps === 1 ? 'gap' : 'gaps'}
            </strong>{' '}
            in which nothing could be logged.
          </>
        )}
      </p>
    </section>
  );
}
