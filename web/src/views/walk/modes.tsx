import {
  DIRECTIONS,
  freshWords,
  GRADES,
  QUANTITIES,
  QUANTITY_UNIT,
  RUNGS,
  scoreReadBack,
  USUAL_CALLS,
  type Direction,
  type EventBodies,
  type EventKind,
  type Kind,
  type Quantity,
  type WalkEvent,
  type WalkMode,
} from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { useEffect, useState } from 'react';
import { Choice, Field } from '../../components/Field.tsx';
import { Length } from '../../components/Length.tsx';

export type Log = <K extends EventKind>(kind: K, body: EventBodies[K]) => void;

interface PanelProps {
  readonly log: readonly WalkEvent[];
  readonly path: SetupPath | undefined;
  readonly kind: Kind;
  readonly add: Log;
  /** Marks a place by its travelled distance. */
  mark(atM: number, name?: string): void;
}

const DIRECTION_WORDS: Readonly<Record<Direction, string>> = {
  'mobile-to-fixed': 'Fixed end hears me',
  'fixed-to-mobile': 'I hear the fixed end',
};

/** What a mode asks for, beside the keys that every walk has. */
export function ModePanel({ mode, ...props }: PanelProps & { mode: WalkMode }) {
  switch (mode) {
    case 'stop and call':
      return <StopAndCall {...props} />;
    case 'hits':
      return <Hits {...props} />;
    case 'read-back':
      return <ReadBack {...props} />;
    case 'ladder':
      return <Ladder {...props} />;
    default:
      return null;
  }
}

/** Counts down the time to settle at the place just reached: a link takes a while to come to rest. */
function Settle() {
  const [leftS, setLeftS] = useState(USUAL_CALLS.settleS);
  useEffect(() => {
    const timer = setInterval(() => setLeftS((s) => Math.max(0, s - 1)), 1000);
    return () => clearInterval(timer);
  }, []);
  return leftS > 0 ? (
    <p role="status">
      Stand still: call in <span className="figure font-bold">{leftS} s</span>.
    </p>
  ) : null;
}

/** Checkpoints in turn: who hears whom, both ways, before one moves on. */
function StopAndCall({ log, path, kind, add, mark }: PanelProps) {
  const called = (name: string, direction: Direction): boolean =>
    log.some((e) => e.kind === 'call' && e.body.checkpoint === name && e.body.direction === direction);
  const left = new Set(
    log.flatMap((e) =>
      e.kind === 'note' && e.body.text.startsWith('left ') ? [e.body.text.split(':')[0]?.slice(5) ?? ''] : [],
    ),
  );
  const points = path?.checkpoints ?? [];
  const here = points.find((c) => !left.has(c.name));
  const [arrived, setArrived] = useState<string>();
  const [tries, setTries] = useState(1);
  if (!here)
    return (
      <p className="sheet p-3">
        {points.length === 0
          ? 'This path has no checkpoints: lay them out in Paths, or walk continuously.'
          : 'Every checkpoint is done: turn round or end.'}
      </p>
    );
  const atIt = arrived === here.name || DIRECTIONS.some((d) => called(here.name, d));
  const missing = DIRECTIONS.filter((d) => !called(here.name, d));
  const leave = (): void => {
    mark(here.atM, here.name);
    // What was not reported is said, not left silently empty.
    add('note', {
      text: `left ${here.name}:${missing.length > 0 ? ` not reported ${missing.join(', ')}` : ' both ways reported'}`,
    });
    setArrived(undefined);
    setTries(1);
  };
  return (
    <section className="sheet grid gap-2 p-3" aria-label="Stop and call" data-checkpoint={here.name}>
      <h2>
        {here.name}, <Length m={here.atM} />
      </h2>
      {!atIt ? (
        <button
          type="button"
          className="pressable"
          onClick={() => {
            mark(here.atM, here.name);
            setArrived(here.name);
          }}
        >
          I stand at {here.name}
        </button>
      ) : (
        <>
          {arrived === here.name && <Settle key={here.name} />}
          {DIRECTIONS.map((direction) => (
            <fieldset key={direction}>
              <legend className="font-bold">
                {DIRECTION_WORDS[direction]}
                {called(here.name, direction) && <span className="font-normal"> (reported)</span>}
              </legend>
              <div className="grid grid-cols-5 gap-1.5">
                {GRADES.map((g) => (
                  <button
                    key={g}
                    type="button"
                    className="pressable"
                    aria-label={`${DIRECTION_WORDS[direction]}: ${g}, ${kind.words[g]}`}
                    onClick={() => {
                      add('call', { checkpoint: here.name, direction, grade: g, tries });
                      setTries(1);
                    }}
                  >
                    <span className="figure text-xl">{g}</span>
                    <span className="text-[0.75rem] leading-tight font-normal">{kind.words[g]}</span>
                  </button>
                ))}
              </div>
            </fieldset>
          ))}
          <div className="flex flex-wrap items-center gap-2">
            <label className="flex items-center gap-2">
              after{' '}
              <input
                className="input w-16"
                type="number"
                min={1}
                max={20}
                value={tries}
                onChange={(e) => setTries(Math.max(1, Number(e.target.value)))}
              />{' '}
              tries
            </label>
            <button type="button" className="pressable flex-1" onClick={leave}>
              {missing.length === 0
                ? `Leave ${here.name}`
                : `Leave, not reported: ${missing.map((d) => `“${DIRECTION_WORDS[d]}”`).join(', ')}`}
            </button>
          </div>
        </>
      )}
    </section>
  );
}

const ORIENTATIONS = ['facing it', 'side on', 'back to it', 'in the pocket'] as const;

/** Presses and answers, k of n. */
function Hits({ add }: PanelProps) {
  const [[hits, misses], setCount] = useState<[number, number]>([0, 0]);
  const [orientation, setOrientation] = useState<string>(ORIENTATIONS[0]);
  const presses = hits + misses;
  return (
    <section className="sheet grid gap-2 p-3" aria-label="Hits">
      <h2>
        <span className="figure">{hits}</span> of <span className="figure">{presses}</span> answered
      </h2>
      <div className="grid grid-cols-2 gap-2">
        <button type="button" className="pressable" onClick={() => setCount([hits + 1, misses])}>
          Answered
        </button>
        <button type="button" className="pressable" onClick={() => setCount([hits, misses + 1])}>
          No answer
        </button>
      </div>
      <Choice label="Held" value={orientation} onChange={(e) => setOrientation(e.target.value)}>
        {ORIENTATIONS.map((o) => (
          <option key={o}>{o}</option>
        ))}
      </Choice>
      <button
        type="button"
        className="pressable"
        disabled={presses === 0}
        onClick={() => {
          add('hits', { presses, hits, orientation });
          setCount([0, 0]);
        }}
      >
        Log {hits} of {presses}
      </button>
    </section>
  );
}

const device = {
  uniform: () => (crypto.getRandomValues(new Uint32Array(1))[0] as number) / 2 ** 32,
  normal: () => {
    throw new Error('not used');
  },
};

/** Fresh words on the sender's screen; what the listener heard is typed and scored. */
function ReadBack({ add }: PanelProps) {
  const [sent, setSent] = useState(() => freshWords(5, device));
  const [heard, setHeard] = useState('');
  const [direction, setDirection] = useState<Direction>('mobile-to-fixed');
  const [score, setScore] = useState<string>();
  const log = (): void => {
    const { right, of } = scoreReadBack(sent, heard);
    add('readBack', { sent, heard, direction });
    setScore(`${right} of ${of} right`);
    setSent(freshWords(5, device));
    setHeard('');
  };
  return (
    <section className="sheet grid gap-2 p-3" aria-label="Read back">
      <h2>
        Read aloud:{' '}
        <span className="figure" data-sent>
          {sent}
        </span>
      </h2>
      <Choice label="Sent" value={direction} onChange={(e) => setDirection(e.target.value as Direction)}>
        {DIRECTIONS.map((d) => (
          <option key={d}>{d}</option>
        ))}
      </Choice>
      <Field label="Heard at the other end" value={heard} onChange={(e) => setHeard(e.target.value)} />
      <button type="button" className="pressable" onClick={log}>
        Log what was heard
      </button>
      {score && <p role="status">{score}</p>}
    </section>
  );
}

/** Voice, then a tone, then data: what still gets through at one place. */
function Ladder({ add }: PanelProps) {
  const [direction, setDirection] = useState<Direction>('mobile-to-fixed');
  return (
    <section className="sheet grid gap-2 p-3" aria-label="Fallback ladder">
      <Choice label="Sent" value={direction} onChange={(e) => setDirection(e.target.value as Direction)}>
        {DIRECTIONS.map((d) => (
          <option key={d}>{d}</option>
        ))}
      </Choice>
      {RUNGS.map((rung) => (
        <div key={rung} className="grid grid-cols-[1fr_1fr_1fr] items-center gap-2">
          <strong>{rung}</strong>
          <button
            type="button"
            className="pressable"
            onClick={() => add('rung', { rung, worked: true, direction })}
          >
            {rung} worked
          </button>
          <button
            type="button"
            className="pressable"
            onClick={() => add('rung', { rung, worked: false, direction })}
          >
            {rung} failed
          </button>
        </div>
      ))}
    </section>
  );
}

/** After arriving, this long before a reading counts (common practice). */
const SETTLE_S = 10;

/** Readings of instruments at a stand: several are kept. */
export function Readings({
  add,
  direction: usual,
  onClose,
}: {
  add: Log;
  direction: Direction;
  onClose: () => void;
}) {
  const [quantity, setQuantity] = useState<Quantity>('throughput');
  const [direction, setDirection] = useState(usual);
  const [network, setNetwork] = useState('');
  const [value, setValue] = useState('');
  const [left, setLeft] = useState(SETTLE_S);
  useEffect(() => {
    if (left <= 0) return;
    const timer = setTimeout(() => setLeft(left - 1), 1000);
    return () => clearTimeout(timer);
  }, [left]);
  const log = (lost: boolean): void => {
    add('measured', {
      quantity,
      direction,
      ...(lost ? {} : { value: Number(value) }),
      ...(network.trim() ? { network: network.trim() } : {}),
    });
    setValue('');
  };
  return (
    <section className="sheet grid grid-cols-2 gap-2 p-3" aria-label="Readings">
      <h2 className="col-span-2">
        Reading{left > 0 && <span className="font-normal text-faint"> (let it settle: {left} s)</span>}
      </h2>
      <Choice label="Of" value={quantity} onChange={(e) => setQuantity(e.target.value as Quantity)}>
        {QUANTITIES.map((q) => (
          <option key={q}>{q}</option>
        ))}
      </Choice>
      <Choice label="Direction" value={direction} onChange={(e) => setDirection(e.target.value as Direction)}>
        {DIRECTIONS.map((d) => (
          <option key={d}>{d}</option>
        ))}
      </Choice>
      <Field
        label="Value"
        suffix={QUANTITY_UNIT[quantity]}
        inputMode="decimal"
        value={value}
        onChange={(e) => setValue(e.target.value)}
      />
      <Field
        label="Band, channel or access point"
        value={network}
        onChange={(e) => setNetwork(e.target.value)}
      />
      <button
        type="button"
        className="pressable"
        disabled={value.trim() === '' || !Number.isFinite(Number(value))}
        onClick={() => log(false)}
      >
        Log the reading
      </button>
      <button type="button" className="pressable" onClick={() => log(true)}>
        Nothing received
      </button>
      <button type="button" className="pressable col-span-2" onClick={onClose}>
        Done
      </button>
    </section>
  );
}
