import type { LengthUnit } from '@urvek/core';
import { intervalText } from '@urvek/draw';
import type { RangeWalk } from '@urvek/study';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

const shortInterval = (i: { heldM: number; failedM: number | undefined }, unit: LengthUnit): string =>
  intervalText(i, unit).replace('held to ', '').replace(', failed by ', '–');

/** So many walks stand in a line; the others when they are asked for. */
const IN_A_LINE = 12;

/** Each walk of a product by itself. */
export function EachWalk({ walks }: { walks: readonly RangeWalk[] }) {
  const [unit] = useUnit();
  const all = walks.flatMap((w) => (w.interval ? [shortInterval(w.interval, unit)] : []));
  if (all.length <= IN_A_LINE) return <>{all.join('; ')}</>;
  return (
    <details>
      <summary className="cursor-pointer">
        {phrases.andMore(all.slice(0, IN_A_LINE).join('; '), all.length - IN_A_LINE)}
      </summary>
      {all.slice(IN_A_LINE).join('; ')}
    </details>
  );
}
