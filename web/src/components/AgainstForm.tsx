import type { Setup } from '@urvek/contract';
import { AGAINST_WAYS, type AgainstWay, type EventBodies } from '@urvek/core';
import { useState } from 'react';
import { Choice } from './Field.tsx';
import * as phrases from './phrases.ts';

/** Those of its kind that a walk can be held against: other products, and other rigs of its own. */
function othersOf(
  { products }: Setup,
  { productId, rigId }: { readonly productId: string; readonly rigId: string },
): { readonly name: string; readonly of: Omit<EventBodies['against'], 'how'> }[] {
  const kindId = products.find((p) => p.id === productId)?.kindId;
  return products
    .filter((p) => p.kindId === kindId)
    .flatMap((p) =>
      p.id === productId
        ? p.rigs
            .filter((r) => r.id !== rigId)
            .map((r) => ({ name: `${p.name}, ${r.name}`, of: { productId: p.id, rigId: r.id } }))
        : [{ name: p.name, of: { productId: p.id } }],
    );
}

/** "It held where the other had failed": said of a walk beside another, without a distance. */
export function AgainstForm({
  setup,
  walked,
  onSaid,
}: {
  setup: Setup;
  walked: { readonly productId: string; readonly rigId: string };
  onSaid: (body: EventBodies['against'], name: string) => void;
}) {
  const others = othersOf(setup, walked);
  const [chosen, setChosen] = useState(0);
  const [how, setHow] = useState<AgainstWay>('held where the other failed');
  const other = others[chosen];
  if (!other) return null;
  return (
    <div className="grid grid-cols-2 items-end gap-2" role="group" aria-label={phrases.besideAnother}>
      <p className="col-span-2 text-[0.87rem] text-faint">{phrases.ofBothOnOneOutingWithout}</p>
      <Choice label={phrases.beside} value={chosen} onChange={(e) => setChosen(Number(e.target.value))}>
        {others.map((o, i) => (
          <option key={o.name} value={i}>
            {o.name}
          </option>
        ))}
      </Choice>
      <Choice label={phrases.thisOne} value={how} onChange={(e) => setHow(e.target.value as AgainstWay)}>
        {AGAINST_WAYS.map((way) => (
          <option key={way}>{way}</option>
        ))}
      </Choice>
      <button
        type="button"
        className="pressable col-span-2"
        onClick={() => onSaid({ ...other.of, how }, other.name)}
      >
        {phrases.keepWhatIsSaidOfBoth}
      </button>
    </div>
  );
}
