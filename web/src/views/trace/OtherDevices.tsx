import { CRITERIA, type JoinedDevice } from '@urvek/core';
import { intervalText } from '@urvek/draw';
import type { Finding } from '@urvek/study';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

/**
 * What the devices that joined say of the same direction, beside the walk's own, and how well their clocks are known.
 */
export function OtherDevices({ finding, joined }: { finding: Finding; joined: readonly JoinedDevice[] }) {
  const [unit] = useUnit();
  const { seconds } = finding;
  return (
    <>
      {seconds.length > 0 && (
        <>
          <h3 className="mt-3">{phrases.whatTheOtherDeviceSaysOf}</h3>
          <table className="table mt-1" data-seconds>
            <thead>
              <tr>
                <th>{phrases.criterion}</th>
                <th>{phrases.theWalksOwnDevice}</th>
                {seconds.map((s) => (
                  <th key={s.joined.deviceId}>{phrases.joined(s.joined.role)}</th>
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
        <ul className="mt-2 text-[0.87rem]" aria-label={phrases.devicesThatJoined}>
          {joined.map((j) => (
            <li key={j.deviceId}>
              {phrases.watchedItsClockBy(
                j.role,
                j.direction,
                j.by,
                j.uncertaintyS < 1
                  ? phrases.ms((1000 * j.uncertaintyS).toFixed(0))
                  : `${j.uncertaintyS.toFixed(1)} s`,
              )}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
