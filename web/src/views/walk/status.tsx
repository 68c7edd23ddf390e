import {
  effectiveLog,
  isAutomatic,
  otherWayDb,
  partnerHears,
  type Grade,
  type SimulatedGear,
  type Tick,
  type WalkEvent,
} from '@urvek/core';
import { useFieldLog } from '../../api/queries.ts';
import { Length } from '../../components/Length.tsx';
import { AT_BASE, fieldLog, SET_ASIDE } from '../../field/fieldLog.ts';
import { eventText } from '../../state/eventText.ts';

/** What the simulated gear plays. */
export function GearPanel({
  tick,
  watched,
  words,
  standIn,
  bothWays,
  onLevel,
}: {
  tick: Tick | undefined;
  watched: string;
  words: Readonly<Record<Grade, string>>;
  standIn: SimulatedGear | undefined;
  bothWays: boolean;
  onLevel: (levelDbm: number | undefined) => void;
}) {
  if (!tick)
    return (
      <div className="sheet p-3 text-faint" role="status">
        The simulated gear is starting …
      </div>
    );
  return (
    <section className="sheet p-3" aria-label="Simulated gear">
      <p className="text-[0.8rem] text-faint">Simulated {watched}</p>
      <div className="mt-1 flex items-center gap-3">
        <span
          aria-hidden
          className="figure grid size-11 place-items-center border-2 border-ink text-2xl font-bold"
        >
          {tick.grade}
        </span>
        <p className="text-lg font-bold" data-heard={tick.grade}>
          {words[tick.grade]}
        </p>
      </div>
      <dl className={`mt-2 grid gap-x-4 ${standIn ? 'grid-cols-3' : 'grid-cols-2'}`}>
        <div>
          <dt className="text-[0.8rem] text-faint">Wheel</dt>
          <dd className="figure text-lg" data-wheel={tick.wheelM.toFixed(1)}>
            <Length m={tick.wheelM} />
          </dd>
        </div>
        <div>
          <dt className="text-[0.8rem] text-faint">Walk’s clock</dt>
          <dd className="figure text-lg">
            {Math.floor(tick.tS / 60)}:{String(Math.floor(tick.tS % 60)).padStart(2, '0')}
          </dd>
        </div>
        {standIn && <LinkMonitor tick={tick} standIn={standIn} onLevel={onLevel} />}
      </dl>
      {standIn && bothWays && (
        <p className="mt-2 border-t border-rule pt-1 text-[0.9rem]" data-partner>
          <span className="text-faint">Simulated partner:</span>{' '}
          {partnerWords(partnerHears(tick.marginDb, otherWayDb(standIn.productSeed)), words)}
        </p>
      )}
      {tick.standing && (
        <p className="mt-2 font-bold">
          {tick.returning ? 'Back at the fixed end: end the walk.' : 'The path ends here: turn round or end.'}
        </p>
      )}
    </section>
  );
}

/** What an instrument would show: nothing below what the receiver still reads. */
function LinkMonitor({
  tick,
  standIn,
  onLevel,
}: {
  tick: Tick;
  standIn: SimulatedGear;
  onLevel: (levelDbm: number | undefined) => void;
}) {
  const levelDbm =
    tick.marginDb > MONITOR_FLOOR_DB ? Math.round(standIn.requiredDbm + tick.marginDb) : undefined;
  return (
    <div>
      <dt className="text-[0.8rem] text-faint">Link monitor</dt>
      <dd>
        <button
          type="button"
          className="figure min-h-8 border border-ink px-1.5 whitespace-nowrap"
          aria-label={`Log the level: ${levelDbm === undefined ? 'no reading' : `${levelDbm} dBm`}`}
          onClick={() => onLevel(levelDbm)}
        >
          {levelDbm === undefined ? 'none' : `${levelDbm} dBm`}
        </button>
      </dd>
    </div>
  );
}

/** A monitor reads a little below what the link needs, dB. */
const MONITOR_FLOOR_DB = -4;

const partnerWords = (grade: Grade, words: Readonly<Record<Grade, string>>): string =>
  grade === 1 ? 'no answer' : `“I hear you ${grade}: ${words[grade]}”`;

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
    <section className="sheet p-3" aria-label="The walk">
      <p className="text-[0.8rem] text-faint">Listen to or watch: {watched}</p>
      <dl className="mt-1 grid grid-cols-2 gap-x-4">
        <div>
          <dt className="text-[0.8rem] text-faint">Walk’s clock</dt>
          <dd className="figure text-2xl">
            {Math.floor(seconds / 60)}:{String(Math.floor(seconds % 60)).padStart(2, '0')}
          </dd>
        </div>
        <div>
          <dt className="text-[0.8rem] text-faint">Last mark</dt>
          <dd className="figure text-2xl">{hereM === undefined ? 'none' : <Length m={hereM} />}</dd>
        </div>
      </dl>
      <p className="mt-2 text-[0.85rem] text-faint">Look up before you look down.</p>
    </section>
  );
}

/** Said when an event is on disk, with how long that took. */
export const Saved = ({ saved }: { saved: { what: string; ms: number } | undefined }) =>
  saved ? (
    <p className="text-[0.85rem]" data-saved-ms={saved.ms.toFixed(1)}>
      kept ✓
    </p>
  ) : null;

/** "213 events here, 180 at the base". */
export function KeptCount({ walkId }: { walkId: string }) {
  const events = useFieldLog(
    () => fieldLog.events.where('walkId').equals(walkId).toArray(),
    `count-${walkId}`,
  );
  if (!events) return null;
  const aside = events.filter((e) => e.place === SET_ASIDE);
  return (
    <p
      className="figure text-[0.85rem]"
      role="status"
      data-kept={events.length}
      data-at-base={events.filter((e) => e.place === AT_BASE).length}
    >
      {events.length} events here, {events.filter((e) => e.place === AT_BASE).length} at the base
      {aside.length > 0 && (
        <strong className="text-lost">
          , {aside.length} refused and set aside: {aside[0]?.refusal}
        </strong>
      )}
    </p>
  );
}

/** Entries among which the last events are looked for: corrections follow close on what they amend. */
const RECENT = 60;

export function LastEvents({ log }: { log: readonly WalkEvent[] }) {
  // Of the newest entries only: a walk may have tens of thousands.
  const recent = effectiveLog(log.slice(-RECENT))
    .filter((e) => !isAutomatic(e))
    .slice(-4)
    .reverse();
  return (
    <ol className="mt-2 flex flex-wrap gap-x-5 text-[0.85rem] text-faint" aria-label="Last events">
      {recent.map((e) => (
        <li key={e.seq}>
          <span className="figure">{e.time.walkS.toFixed(1)} s</span> {eventText(e)}
        </li>
      ))}
    </ol>
  );
}
