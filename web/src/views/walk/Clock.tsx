import { Length } from '../../components/Length.tsx';
import * as phrases from './phrases.ts';

/** A real walk: its clock, and where the last mark was. */
export function Clock({
  seconds,
  hereM,
  watched,
}: {
  seconds: number;
  hereM: number | undefined;
  watched: string;
}) {
  return (
    <section className="sheet px-3 py-2" aria-label={phrases.theWalk}>
      <p className="text-[0.87rem] text-faint">{phrases.listenToOrWatch(watched)}</p>
      <dl className="mt-1 grid grid-cols-2 gap-x-4">
        <div>
          <dt className="text-[0.87rem] text-faint">{phrases.walksClock}</dt>
          <dd className="figure text-2xl">
            {Math.floor(seconds / 60)}:{String(Math.floor(seconds % 60)).padStart(2, '0')}
          </dd>
        </div>
        <div>
          <dt className="text-[0.87rem] text-faint">{phrases.lastMark}</dt>
          <dd className="figure text-2xl">{hereM === undefined ? phrases.none : <Length m={hereM} />}</dd>
        </div>
      </dl>
      <p className="mt-2 text-[0.87rem] text-faint">{phrases.lookUpBeforeYouLookDown}</p>
    </section>
  );
}
