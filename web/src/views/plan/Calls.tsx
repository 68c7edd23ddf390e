import { callTimetable, sinceStart, USUAL_CALLS } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import * as phrases from './phrases.ts';

/** For two people who cannot hear each other: both keep to it, whatever comes through. */
export function Calls({ path }: { path: SetupPath }) {
  const { settleS, tries, timeoutS } = USUAL_CALLS;
  return (
    <section aria-label={phrases.callTimetableOn(path.name)}>
      <h2>{phrases.callsOnFromTheStartOf(path.name)}</h2>
      <table className="table">
        <thead>
          <tr>
            <th>{phrases.checkpoint}</th>
            <th>{phrases.beThere}</th>
            <th>{phrases.walkerSends}</th>
            <th>{phrases.fixedEndSends}</th>
            <th>{phrases.moveOn}</th>
            <th className="w-1/4">{phrases.heardEachWay}</th>
          </tr>
        </thead>
        <tbody>
          {callTimetable(path.checkpoints).map((row) => (
            <tr key={row.checkpoint}>
              <td>
                {row.checkpoint}, <Length m={row.atM} />
              </td>
              {[row.arriveS, row.walkerSendsS, row.baseSendsS, row.leaveS].map((s, i) => (
                <td key={i} className="figure">
                  {sinceStart(s)}
                </td>
              ))}
              <td />
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[0.87rem] text-faint">
        {phrases.standSBeforeTheFirstCall(settleS, tries, timeoutS)}
      </p>
    </section>
  );
}
