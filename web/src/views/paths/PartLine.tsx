import type { ReactNode } from 'react';
import * as phrases from './phrases.ts';

/** The parts of one kind by name: one press takes a part in hand. */
export function PartLine({
  title,
  names,
  wrong,
  inHand,
  onPart,
  add,
}: {
  title: string;
  names: readonly string[];
  wrong: ReadonlySet<number>;
  inHand: number | undefined;
  onPart: (nth: number) => void;
  add: ReactNode;
}) {
  return (
    <>
      <dt className="font-bold">{title}</dt>
      <dd className="flex max-h-24 flex-wrap items-center gap-1 overflow-y-auto p-0.5">
        {names.length === 0 && <span className="text-faint">{phrases.none}</span>}
        {names.map((name, i) => (
          <button
            key={i}
            type="button"
            className={`btn min-h-8 px-2 py-0 text-[0.87rem] ${i === inHand ? 'btn-main' : ''}`}
            aria-pressed={i === inHand}
            onClick={() => onPart(i)}
          >
            {name}
            {wrong.has(i) && <strong className="text-lost">{phrases.toCorrect}</strong>}
          </button>
        ))}
        {add}
      </dd>
    </>
  );
}
