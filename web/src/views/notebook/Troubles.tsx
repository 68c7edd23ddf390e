import type { TakenNotebook } from '@urvek/study';
import * as phrases from './phrases.ts';

const SHOWN = 12;

/** What is wrong or asked about, row by row, and what was taken to be so. */
export function Troubles({ taken: { problems, notices } }: { taken: TakenNotebook }) {
  if (problems.length === 0 && notices.length === 0) return null;
  return (
    <section className="sheet mt-3 p-3" aria-label={phrases.whatIsInTheWay}>
      {problems.length > 0 && (
        <>
          <h2>
            {phrases.inTheWay(
              problems.length === 1 ? phrases.oneThingIs : phrases.thingsAre(problems.length),
            )}
          </h2>
          <ul className="mt-1">
            {problems.slice(0, SHOWN).map((p) => (
              <li key={`${p.line} ${p.column} ${p.what}`}>
                <strong className="text-lost">{p.asked ? '?' : '!'}</strong>
                {phrases.row3(p.line)}
                {p.column && `, ${p.column.replaceAll('_', ' ')}`}: {p.what}
              </li>
            ))}
          </ul>
          {problems.length > SHOWN && (
            <p className="text-faint">{phrases.andMore(problems.length - SHOWN)}</p>
          )}
        </>
      )}
      {notices.map((n) => (
        <p key={`${n.line} ${n.what}`} className="mt-1 text-faint">
          {phrases.row4(n.line, n.what)}
        </p>
      ))}
    </section>
  );
}
