import { GRADES } from '@urvek/core';
import { ROW_EVENT_NAMES, type ProposedRow } from '@urvek/study';
import { Choice, Field, Options, Tick } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

/** A row that notes propose; it goes into the grid when it is taken. */
export type OfferedRow = ProposedRow & { readonly taken: boolean };

/** What else a row says. */
const others = ({ cells }: ProposedRow): string =>
  Object.entries(cells)
    .filter(([c]) => !['at', 'grade', 'event', 'words', 'remark'].includes(c))
    .map(([c, v]) => `${c.replaceAll('_', ' ')}: ${v}`)
    .join('; ');

/** A proposed row beside the words that it comes from. */
export const ProseRow = ({
  row,
  nth,
  onTaken,
  onCell,
}: {
  row: OfferedRow;
  /** Counted from one. */
  nth: number;
  onTaken: (taken: boolean) => void;
  onCell: (column: 'at' | 'grade' | 'event', value: string) => void;
}) => (
  <div className="grid items-end gap-2 border-t border-rule pt-1 sm:grid-cols-[auto_1fr_8rem_7rem_9rem_1fr]">
    <Tick label={phrases.row2(nth)} checked={row.taken} onChange={(e) => onTaken(e.target.checked)} />
    <p className="pb-1">“{row.text}”</p>
    <Field
      label={phrases.placeOfRow(nth)}
      value={row.cells.at ?? ''}
      placeholder={row.cells.point ?? phrases.notKnown}
      onChange={(e) => onCell('at', e.target.value)}
    />
    <Choice
      label={phrases.gradeOfRow(nth)}
      value={row.cells.grade ?? ''}
      onChange={(e) => onCell('grade', e.target.value)}
    >
      <option value="">{row.cells.words ? phrases.byItsWords : phrases.none}</option>
      <Options of={GRADES} />
    </Choice>
    <Choice
      label={phrases.eventOfRow(nth)}
      value={row.cells.event ?? ''}
      onChange={(e) => onCell('event', e.target.value)}
    >
      <option value="">{phrases.none}</option>
      <Options of={ROW_EVENT_NAMES} />
    </Choice>
    <p className="pb-1 text-faint">{others(row)}</p>
  </div>
);
