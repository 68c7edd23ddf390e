import type { LengthUnit } from '@urvek/core';
import { ledgerStrip, type LedgerLine, type LedgerScales } from '@urvek/draw';
import type { KeyboardEvent } from 'react';
import { Picture } from '../../components/Picture.tsx';
import { OutcomeMark } from './OutcomeMark.tsx';

/** One claim or need: what was stated on what was found, the verdict, the figures it rests on, one next step. */
export function LedgerRow({
  line,
  scales,
  unit,
  on,
  onSelect,
  onKey,
}: {
  line: LedgerLine;
  scales: LedgerScales;
  unit: LengthUnit;
  on: boolean;
  onSelect: () => void;
  onKey: (e: KeyboardEvent) => void;
}) {
  const { figures } = line;
  const data = 'claim' in line.of ? { 'data-verdict': line.outcome } : { 'data-need': line.outcome };
  return (
    <tr
      {...data}
      className={
        'cursor-pointer border-t border-rule align-top ' +
        `${on ? 'bg-white outline-[3px] -outline-offset-3 outline-accent' : 'hover:bg-white'}`
      }
      onClick={onSelect}
    >
      <td className="px-2 py-1.5">
        <OutcomeMark outcome={line.outcome} />
      </td>
      <th scope="row" className="px-2 py-1 leading-tight">
        <button
          type="button"
          data-line={line.id}
          tabIndex={on ? 0 : -1}
          aria-pressed={on}
          className="text-left font-bold"
          onKeyDown={onKey}
        >
          {line.subject}
          <span className="block text-[0.87rem] font-normal text-faint">
            {line.said}; {line.where}
          </span>
        </button>
      </th>
      <td className="px-2 py-1">
        <Picture scene={ledgerStrip(line, scales, unit)} className="block" aria-hidden />
      </td>
      <td className="px-2 py-1.5 text-right font-bold tabular-nums">{figures?.figure}</td>
      <td className="px-2 py-1.5 text-right tabular-nums">{figures?.interval}</td>
      <td className="px-2 py-1.5 text-right tabular-nums">{figures?.n}</td>
      <td className="px-2 py-1.5 text-accent">{line.step}</td>
    </tr>
  );
}
