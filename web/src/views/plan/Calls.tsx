import { callTimetable, sinceStart, USUAL_CALLS } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { Length } from '../../components/Length.tsx';

/** For two people who cannot hear each other: both keep to it, whatever comes through. */
export function Calls({ path }: { path: SetupPath }) {
  const { settleS, tries, timeoutS } = USUAL_CALLS;
  return (
    <section aria-label={`Call timetable on ${path.name}`}>
      <h2>Calls on {path.name}, from the start of the walk</h2>
      <table className="table">
        <thead>
          <tr>
            <th>Checkpoint</th>
            <th>Be there</th>
            <th>Walker sends</th>
            <th>Fixed end sends</th>
            <th>Move on</th>
            <th className="w-1/4">Heard, each way</th>
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
        Stand {settleS} s before the first call; {tries} tries of {timeoutS} s each way. Nothing heard: write
        that down, and move on at the time above all the same.
      </p>
    </section>
  );
}
