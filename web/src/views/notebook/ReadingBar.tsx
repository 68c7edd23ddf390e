import { DISTANCE_METHODS, KINDS, LENGTH_UNITS } from '@urvek/core';
import { COLUMNS, type Column } from '@urvek/study';
import type { ReactNode } from 'react';
import { Choice, Options } from '../../components/Field.tsx';
import type { Reading } from './draft.ts';
import * as phrases from './phrases.ts';

/** How what is written is to be read, and which columns are shown. */
export const ReadingBar = ({
  reading,
  shown,
  onChange,
  onShow,
  children,
}: {
  reading: Reading;
  shown: readonly Column[];
  onChange: (change: Partial<Record<keyof Reading, string | undefined>>) => void;
  onShow: (column: Column) => void;
  children: ReactNode;
}) => (
  <div className="sheet mb-3 flex flex-wrap items-end gap-3 p-3">
    {children}
    <Choice
      label={phrases.figuresWithoutAUnitAre}
      value={reading.unit ?? ''}
      onChange={(e) => onChange({ unit: e.target.value })}
    >
      <option value="">{phrases.askedAbout}</option>
      <Options of={LENGTH_UNITS} />
    </Choice>
    <Choice
      label={phrases.distancesBy}
      value={reading.method ?? ''}
      onChange={(e) => onChange({ method: e.target.value })}
    >
      <option value="">{phrases.asThePathSaysElseBy}</option>
      <Options of={DISTANCE_METHODS} />
    </Choice>
    <Choice
      label={phrases.newProductsAre}
      value={reading.kindId ?? ''}
      onChange={(e) => onChange({ kindId: e.target.value })}
    >
      <option value="">{phrases.notStated}</option>
      {KINDS.map((k) => (
        <option key={k.id} value={k.id}>
          {k.name}
        </option>
      ))}
    </Choice>
    <Choice label={phrases.moreColumns} value="" onChange={(e) => onShow(e.target.value as Column)}>
      <option value="">{phrases.show}</option>
      {COLUMNS.filter((c) => !shown.includes(c)).map((c) => (
        <option key={c} value={c}>
          {c.replaceAll('_', ' ')}
        </option>
      ))}
    </Choice>
  </div>
);
