import { readGearCsv } from '@urvek/contract';
import { measuredTrouble, type Direction } from '@urvek/core';
import { gearEntry } from '@urvek/study';
import { useEffect, useRef, useState } from 'react';
import { Choice, Field } from '../../components/Field.tsx';
import { openSerial } from '../../field/serial.ts';
import type { AddEntry } from './receivedLog.ts';
import * as phrases from './phrases.ts';

const BAUDS = [9600, 19_200, 38_400, 57_600, 115_200] as const;

interface Heard {
  readonly kept: number;
  readonly last: string | undefined;
  /** What was not understood, and why; the last of them. */
  readonly refused: string | undefined;
}
const NOTHING: Heard = { kept: 0, last: undefined, refused: undefined };

/** Gear on a serial port of this device: what it says, a line at a time, goes into the log. */
export function SerialGear({
  add,
  direction,
  isLost,
  onClose,
}: {
  add: AddEntry;
  /** Which way the link is read at this end, where a line does not say. */
  direction: Direction;
  /** The link is lost by what is logged: nothing is logged twice. */
  isLost: () => boolean;
  onClose: () => void;
}) {
  const [name, setName] = useState('wheel');
  const [baud, setBaud] = useState<number>(BAUDS[0]);
  const [heard, setHeard] = useState<Heard>();
  const [trouble, setTrouble] = useState<string>();
  const stop = useRef<() => void>(undefined);
  useEffect(() => () => stop.current?.(), []);
  const log = useRef(add);
  useEffect(() => {
    log.current = add;
  });
  const take = (text: string, inputMs: number): void => {
    try {
      const { kind, body } = gearEntry(readGearCsv(text), { name }, direction);
      const cannot = kind === 'measured' ? measuredTrouble(body) : undefined;
      if (cannot !== undefined) throw new Error(cannot);
      const known = kind === 'dropoutBegin' ? isLost() : kind === 'dropoutEnd' && !isLost();
      if (!known) log.current(kind, body, inputMs, true);
      setHeard((h = NOTHING) => ({ ...h, kept: h.kept + 1, last: text }));
    } catch (cause) {
      setHeard((h = NOTHING) => ({ ...h, refused: `${text.slice(0, 60)}: ${(cause as Error).message}` }));
    }
  };
  const ended = (why: string | undefined): void => {
    stop.current = undefined;
    setHeard(undefined);
    if (why !== undefined) {
      setTrouble(phrases.thePortWasLostWhatCame(why));
      log.current('note', { text: phrases.itsPortWasLost(name) }, performance.now(), true);
    }
  };
  const open = (): void => {
    setTrouble(undefined);
    openSerial(baud, take, ended).then(
      (end) => {
        stop.current = end;
        setHeard(NOTHING);
      },
      (cause: unknown) => setTrouble(phrases.notOpened((cause as Error).message)),
    );
  };
  return (
    <section className="sheet grid gap-2 p-3" aria-label={phrases.gearOnASerialPort}>
      <div className="flex flex-wrap items-end gap-3">
        <Field
          className="w-40"
          label={phrases.whatItIs}
          maxLength={60}
          disabled={heard !== undefined}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Choice
          className="w-32"
          label={phrases.baud}
          disabled={heard !== undefined}
          value={baud}
          onChange={(e) => setBaud(Number(e.target.value))}
        >
          {BAUDS.map((b) => (
            <option key={b} value={b}>
              {b}
            </option>
          ))}
        </Choice>
        {heard ? (
          <button type="button" className="btn min-h-11" onClick={() => stop.current?.()}>
            {phrases.closeThePort}
          </button>
        ) : (
          <button type="button" className="btn min-h-11" disabled={name.trim() === ''} onClick={open}>
            {phrases.openAPort}
          </button>
        )}
        <button type="button" className="btn btn-quiet min-h-11" onClick={onClose}>
          {phrases.close}
        </button>
      </div>
      {heard && (
        <p role="status" data-serial={heard.kept}>
          {heard.kept === 0
            ? phrases.openNothingWasUnderstoodYet
            : phrases.loggedTheLast(phrases.countedLines(heard.kept), heard.last)}
          {heard.refused !== undefined && (
            <span className="block border-l-4 border-degraded pl-2">
              {phrases.notUnderstood(heard.refused)}
            </span>
          )}
        </p>
      )}
      {trouble !== undefined && (
        <p role="alert" className="font-bold text-lost">
          {trouble}
        </p>
      )}
    </section>
  );
}
