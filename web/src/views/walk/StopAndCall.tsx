import { type Direction, DIRECTIONS, effectiveLog, GRADES, type WalkEvent } from '@urvek/core';
import { useState } from 'react';
import { Length } from '../../components/Length.tsx';
import { Settle } from './Settle.tsx';
import type { PanelProps } from './modesParts.tsx';
import { Touch } from './Touch.tsx';
import * as phrases from './phrases.ts';

const DIRECTION_WORDS: Readonly<Record<Direction, string>> = {
  'mobile-to-fixed': phrases.fixedEndHearsMe,
  'fixed-to-mobile': phrases.iHearTheFixedEnd,
};

/** Checkpoints whose stand was gone on from: events tell it, whatever the checkpoint is called. */
function leftBehind(events: readonly WalkEvent[]): Set<string> {
  const left = new Set<string>();
  let at: string | undefined;
  for (const e of events) {
    if (e.kind === 'mark') at = e.body.name;
    else if (e.kind === 'goOn' && at !== undefined) left.add(at);
  }
  return left;
}

/** Checkpoints in turn: who hears whom, both ways, before one moves on. */
export function StopAndCall({ log, path, kind, add, mark }: PanelProps) {
  const called = (name: string, direction: Direction): boolean =>
    log.some((e) => e.kind === 'call' && e.body.checkpoint === name && e.body.direction === direction);
  const left = leftBehind(effectiveLog(log));
  const points = path?.checkpoints ?? [];
  const here = points.find((c) => !left.has(c.name));
  const [arrived, setArrived] = useState<string>();
  const [tries, setTries] = useState(1);
  if (!here)
    return (
      <p className="sheet px-3 py-2">
        {points.length === 0 ? phrases.thisPathHasNoCheckpointsLay : phrases.everyCheckpointIsDoneTurnRound}
      </p>
    );
  const atIt = arrived === here.name || DIRECTIONS.some((d) => called(here.name, d));
  const missing = DIRECTIONS.filter((d) => !called(here.name, d));
  const leave = (): void => {
    add('goOn', {});
    setArrived(undefined);
    setTries(1);
  };
  return (
    <section
      className="sheet grid gap-2 px-3 py-2"
      aria-label={phrases.stopAndCall}
      data-checkpoint={here.name}
    >
      <h2>
        {here.name}, <Length m={here.atM} />
      </h2>
      {!atIt ? (
        <Touch
          onPress={() => {
            mark(here.atM, here.name);
            setArrived(here.name);
          }}
        >
          {phrases.iStandAt(here.name)}
        </Touch>
      ) : (
        <>
          {arrived === here.name && <Settle key={here.name} />}
          {DIRECTIONS.map((direction) => (
            <fieldset key={direction}>
              <legend className="font-bold">
                {DIRECTION_WORDS[direction]}
                {called(here.name, direction) && <span className="font-normal">{phrases.reported}</span>}
              </legend>
              <div className="grid grid-cols-5 gap-1.5">
                {GRADES.map((g) => (
                  <Touch
                    key={g}

                    aria-label={`${DIRECTION_WORDS[direction]}: ${g}, ${kind.words[g]}`}
                    onPress={() => {
                      add('call', { checkpoint: here.name, direction, grade: g, tries });
                      setTries(1);
                    }}
                  >
                    <span className="figure text-xl">{g}</span>
                    <span className="text-[0.87rem] leading-tight font-normal">{kind.words[g]}</span>
                  </Touch>
                ))}
              </div>
            </fieldset>
          ))}
          <div className="flex flex-wrap items-center gap-2">
            <label className="flex items-center gap-2">
              {phrases.after}
              <input
                className="input w-16"
                type="number"
                min={1}
                max={20}
                value={tries}
                onChange={(e) => setTries(Math.max(1, Number(e.target.value)))}
              />
              {phrases.tries}
            </label>
            <Touch className="flex-1" onPress={leave}>
              {missing.length === 0
                ? phrases.leave(here.name)
                : phrases.leaveNotReported(missing.map((d) => `“${DIRECTION_WORDS[d]}”`).join(', '))}
            </Touch>
          </div>
        </>
      )}
    </section>
  );
}
