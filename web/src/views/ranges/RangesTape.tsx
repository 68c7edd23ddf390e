import { separationGround, type TapeOptions } from '@urvek/draw';
import type { RangeView } from '@urvek/study';
import { useState } from 'react';
import { Tape } from '../../components/Tape.tsx';
import { useUnit } from '../../state/unit.ts';
import { lanesOf } from './rangesParts.tsx';
import * as phrases from './phrases.ts';

/** So many walks are drawn at once; more of them when they are asked for. */
const DRAWN_WALKS = 60;

/** The picture that answers "how far is each good for" on one path. */
export function RangesTape({
  range,
  claims,
  walks = true,
  onPoint,
}: {
  range: RangeView;
  claims?: TapeOptions['claims'];
  walks?: boolean;
  onPoint?: (groupId: string) => void;
}) {
  const [unit] = useUnit();
  const many = range.walks.length > DRAWN_WALKS;
  const [all, setAll] = useState(false);
  return (
    <>
      <Tape
        title={phrases.rangesOn(range.path.name, range.criterion)}
        ground={separationGround(range.path)}
        measure="separation"
        lanes={lanesOf(range, walks && (all || !many), unit)}
        claims={claims}
        onPoint={onPoint}
        stops={onPoint && ((group) => group.startsWith('walk-'))}
      />
      {walks && many && (
        <button type="button" className="btn no-print" aria-pressed={all} onClick={() => setAll(!all)}>
          {all ? phrases.estimatesOnly : phrases.eachOfTheWalksToo(range.walks.length)}
        </button>
      )}
    </>
  );
}
