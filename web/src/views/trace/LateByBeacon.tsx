import { lateOverall, type Trace } from '@urvek/core';
import { Length } from '../../components/Length.tsx';
import * as phrases from './phrases.ts';

const ms = (s: number): string => (1000 * s).toFixed(0);

/** How late the beacon came, over the walk and moment by moment: in the picture, and in the sound. */
export function LateByBeacon({ late }: { late: Trace['late'] }) {
  return (['picture', 'sound'] as const).map((of) => (
    <LateOf key={of} of={of} late={late.filter((l) => l.carriedBy === of)} />
  ));
}

function LateOf({ of, late }: { of: Trace['late'][number]['carriedBy']; late: Trace['late'] }) {
  const overall = lateOverall(late);
  if (!overall) return null;
  const { medianS, leastS, mostS, uS } = overall;
  return (
    <details className="mt-2 text-[0.87rem]" data-late={medianS}>
      <summary className="cursor-pointer">
        {phrases.byTheBeaconItCame(of, ms(medianS), ms(uS), phrases.countedMoments(late.length))}
        {late.length > 1 && phrases.fromTo(ms(leastS), ms(mostS))}
      </summary>
      <table className="table mt-1">
        <thead>
          <tr>
            <th>{phrases.lateWhen}</th>
            <th>{phrases.lateWhere}</th>
            <th>{phrases.lateMs}</th>
          </tr>
        </thead>
        <tbody>
          {late.map((l) => (
            <tr key={l.atS}>
              <td className="figure">{phrases.secondsOfTheWalk(l.atS.toFixed(0))}</td>
              <td>{l.position ? <Length m={l.position.travelledM} /> : phrases.placeUnknown}</td>
              <td className="figure">
                {ms(l.lateS)} ± {ms(l.uS)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
