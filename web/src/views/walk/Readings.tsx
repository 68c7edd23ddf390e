import {
  PROVENANCES,
  QUANTITY_UNIT,
  writtenFigure,
  type Direction,
  type EventBodies,
  type WrittenFigure,
  measuredTrouble,
} from '@urvek/core';
import { useState } from 'react';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { More } from '../../components/More.tsx';
import type { Log } from './modesParts.tsx';
import { COLUMNS, OFTEN, type ReadingColumn } from './readingColumns.ts';
import { StreamReading } from './StreamReading.tsx';
import { useSettling } from './useSettling.ts';
import * as phrases from './phrases.ts';

const AROUND = [
  ['band', phrases.bandOrChannel],
  ['cell', phrases.cellOrAccessPoint],
  ['instrument', phrases.instrument],
  ['server', phrases.server],
  ['load', phrases.loadOnIt],
] as const;
type Around = Readonly<Partial<Record<(typeof AROUND)[number][0], string>>>;

/** Readings of instruments at a stand, one set at a time: several are kept. */
export function Readings({
  add,
  direction,
  before,
  onClose,
}: {
  add: Log;
  direction: Direction;
  /**
   * The last reading: instrument and server are mostly the same. Band and cell are not carried on: they change
   * unseen.
   */
  before: EventBodies['measured'] | undefined;
  onClose: () => void;
}) {
  const [written, setWritten] = useState<Readonly<Record<string, string>>>({});
  const [around, setAround] = useState<Around>(() => ({
    ...(before?.instrument === undefined ? {} : { instrument: before.instrument }),
    ...(before?.server === undefined ? {} : { server: before.server }),
  }));
  const [provenance, setProvenance] = useState('');
  const left = useSettling();
  const known = PROVENANCES.find((p) => p === provenance);
  const said = {
    ...Object.fromEntries(
      Object.entries(around).flatMap(([k, v]) => (v.trim() === '' ? [] : [[k, v.trim()]])),
    ),
    ...(known === undefined ? {} : { provenance: known }),
  };
  const bodyOf = (c: ReadingColumn, figure: WrittenFigure): EventBodies['measured'] => ({
    quantity: c.quantity,
    direction: c.direction ?? direction,
    ...figure,
    ...said,
  });
  const read = COLUMNS.flatMap((column) => {
    const text = written[column.label]?.trim() ?? '';
    if (text === '') return [];
    const figure = writtenFigure(text, column.quantity);
    const body = figure && bodyOf(column, figure);
    return [{ column, body, trouble: body ? measuredTrouble(body) : phrases.thisIsNoFigure }];
  });
  const troubled = new Map(read.map((r) => [r.column.label, r.trouble]));
  const log = (): void => {
    for (const { body } of read) if (body) add('measured', body);
    setWritten({});
  };
  const lost = (): void => {
    for (const column of COLUMNS.slice(0, 2)) add('measured', bodyOf(column, {}));
    setWritten({});
  };
  const field = (c: ReadingColumn) => (
    <Field
      key={c.label}
      label={c.label}
      suffix={QUANTITY_UNIT[c.quantity]}
      inputMode="text"
      className="min-w-0"
      value={written[c.label] ?? ''}
      onChange={(e) => setWritten({ ...written, [c.label]: e.target.value })}
      {...(troubled.get(c.label) === undefined ? {} : { error: troubled.get(c.label) as string })}
    />
  );
  return (
    <section className="sheet grid grid-cols-2 gap-2 p-3" aria-label={phrases.readings}>
      <h2 className="col-span-2">
        {phrases.reading}
        {left > 0 && <span className="font-normal text-faint">{phrases.letItSettleS(left)}</span>}
      </h2>
      {COLUMNS.slice(0, OFTEN).map(field)}
      <p className="col-span-2 text-[0.87rem] text-faint">{phrases.aFigure125To150Of}</p>
      <More what={phrases.bandCellInstrumentBarsAStream} className="col-span-2" open={before === undefined}>
        <div className="grid grid-cols-2 gap-2">
          {COLUMNS.slice(OFTEN).map(field)}
          {AROUND.map(([name, label]) => (
            <Field
              key={name}
              label={label}
              className="min-w-0"
              value={around[name] ?? ''}
              onChange={(e) => setAround({ ...around, [name]: e.target.value })}
            />
          ))}
          <Choice
            label={phrases.howItIsKnown}
            className="min-w-0"
            value={provenance}
            onChange={(e) => setProvenance(e.target.value)}
          >
            <option value="">{phrases.notStated}</option>
            <Options of={PROVENANCES} />
          </Choice>
          <StreamReading
            onWatched={(figure, text) => {
              add('measured', bodyOf({ label: '', quantity: 'throughput' }, figure));
              add('note', { text });
            }}
          />
        </div>
      </More>
      <button
        type="button"
        className="pressable"
        disabled={read.length === 0 || read.some((r) => r.trouble !== undefined)}
        onClick={log}
      >
        {read.length > 1 ? phrases.logReadings(read.length) : phrases.logTheReading}
      </button>
      <button type="button" className="pressable" onClick={lost}>
        {phrases.noConnection}
      </button>
      <button type="button" className="pressable col-span-2" onClick={onClose}>
        {phrases.done}
      </button>
    </section>
  );
}
