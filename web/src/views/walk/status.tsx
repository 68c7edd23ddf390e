import { otherWayDb, partnerHears, type Grade, type SimulatedGear, type Tick } from '@urvek/core';
import { Length } from '../../components/Length.tsx';
import { LinkMonitor } from './LinkMonitor.tsx';
import * as phrases from './phrases.ts';

/** What the simulated gear plays. */
export function GearPanel({
  tick,
  watched,
  words,
  simulatedGear,
  bothWays,
  onLevel,
}: {
  tick: Tick | undefined;
  watched: string;
  words: Readonly<Record<Grade, string>>;
  simulatedGear: SimulatedGear | undefined;
  bothWays: boolean;
  onLevel: (levelDbm: number | undefined) => void;
}) {
  if (!tick)
    return (
      // As high as the panel that follows: the keys below stay where they are.
      <div className="sheet min-h-[121px] px-3 py-2 text-faint" role="status">
        {phrases.theSimulatedGearIsStarting}
      </div>
    );
  return (
    <section className="sheet px-3 py-2" aria-label={phrases.simulatedGear}>
      {/* Two lines high whatever the words: the keys below stay where they are. */}
      <div className="flex min-h-[45px] items-center gap-3">
        <span
          aria-hidden
          className="figure grid size-11 shrink-0 place-items-center border-2 border-ink text-2xl font-bold"
        >
          {tick.grade}
        </span>
        <p className="text-lg leading-tight font-bold" data-heard={tick.grade}>
          {words[tick.grade]}
        </p>
        {tick.standing ? (
          <p className="ml-auto text-right font-bold">
            {tick.returning ? phrases.backAtTheFixedEndEnd : phrases.thePathEndsHereTurnRound}
          </p>
        ) : (
          <p className="ml-auto text-[0.87rem] text-faint">{phrases.simulated2(watched)}</p>
        )}
      </div>
      <dl className={`mt-1 grid gap-x-4 ${simulatedGear ? 'grid-cols-3' : 'grid-cols-2'}`}>
        <div>
          <dt className="text-[0.87rem] text-faint">{phrases.wheel}</dt>
          <dd className="figure text-lg" data-wheel={tick.wheelM.toFixed(1)}>
            <Length m={tick.wheelM} />
          </dd>
        </div>
        <div>
          <dt className="text-[0.87rem] text-faint">{phrases.walksClock}</dt>
          <dd className="figure text-lg">
            {Math.floor(tick.tS / 60)}:{String(Math.floor(tick.tS % 60)).padStart(2, '0')}
          </dd>
        </div>
        {simulatedGear && <LinkMonitor tick={tick} simulatedGear={simulatedGear} onLevel={onLevel} />}
      </dl>
      {simulatedGear && bothWays && (
        <p className="mt-2 border-t border-rule pt-1 text-[0.87rem]" data-partner>
          <span className="text-faint">{phrases.simulatedPartner}</span>{' '}
          {partnerWords(partnerHears(tick.marginDb, otherWayDb(simulatedGear.productSeed)), words)}
        </p>
      )}
    </section>
  );
}

const partnerWords = (grade: Grade, words: Readonly<Record<Grade, string>>): string =>
  grade === 1 ? phrases.noAnswer : phrases.iHearYou(grade, words[grade]);
