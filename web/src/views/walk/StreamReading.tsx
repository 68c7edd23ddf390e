import type { WrittenFigure } from '@urvek/core';
import { useState } from 'react';
import { Choice, Field, Options } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

const STREAM = ['smooth', 'stutters', 'unwatchable'] as const;

/** A stream of a known rate, and how it ran: what the link carries at least, or does not. */
export function StreamReading({ onWatched }: { onWatched: (figure: WrittenFigure, note: string) => void }) {
  const [stream, setStream] = useState('');
  const rateMbps = Number(stream);
  const isRate = stream.trim() !== '' && Number.isFinite(rateMbps) && rateMbps > 0;
  const watched = (how: (typeof STREAM)[number]): void => {
    if (!isRate) return;
    onWatched(
      { value: rateMbps, bound: how === 'smooth' ? 'at least' : 'below' },
      phrases.aStreamOfMbitS(rateMbps, how),
    );
  };
  return (
    <>
      <Field
        label={phrases.aStreamOf}
        suffix="Mbit/s"
        inputMode="decimal"
        className="min-w-0"
        value={stream}
        onChange={(e) => setStream(e.target.value)}
      />
      <Choice
        label={phrases.itWas}
        className="min-w-0"
        value=""
        disabled={!isRate}
        onChange={(e) => watched(e.target.value as (typeof STREAM)[number])}
      >
        <option value="">{phrases.choose}</option>
        <Options of={STREAM} />
      </Choice>
    </>
  );
}
