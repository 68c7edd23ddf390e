import type { TrailEntry } from '@urvek/contract';
import { format } from 'date-fns';
import * as phrases from './phrases.ts';

/** Who did what that others may want to know of. */
export const Trail = ({ trail }: { trail: readonly TrailEntry[] }) => (
  <section className="sheet p-4" aria-label={phrases.whatWasDone}>
    <h2>{phrases.whatWasDone}</h2>
    <p className="text-[0.87rem] text-faint">{phrases.pairingRevokingFilesTakenComparisons}</p>
    {trail.length === 0 ? (
      <p className="mt-1 text-faint">{phrases.nothingYet}</p>
    ) : (
      <ul
        className="mt-1 max-h-72 overflow-y-auto"
        aria-label={phrases.whatWasDoneTheNewestFirst}
        data-trail={trail.length}
      >
        {trail.map((t) => (
          <li
            key={`${t.atMs} ${t.what}`}
            className="grid grid-cols-[9.5rem_1fr] gap-x-3 border-b border-rule py-0.5 text-[0.87rem]"
          >
            <span className="figure text-faint">{format(t.atMs, 'd MMM yyyy, HH:mm')}</span>
            <span>
              {t.who}: {t.what}
            </span>
          </li>
        ))}
      </ul>
    )}
  </section>
);
