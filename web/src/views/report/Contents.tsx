import type { ReportView } from '@urvek/draw';
import { Link } from 'react-router';
import * as phrases from './phrases.ts';

/** What the report holds, and what in it is still open. */
export function Contents({
  id,
  document,
  open,
  whole,
}: {
  id: string;
  document: ReportView['document'];
  open: ReportView['open'];
  /** Own wording is of the whole report: of a part its figures say something else. */
  whole: boolean;
}) {
  const { questions, undecided } = open;
  const stale = document.sections.flatMap((s) =>
    s.blocks.flatMap((b) =>
      whole && b.kind === 'paragraph' && b.was !== undefined ? [{ section: s.id, id: b.id }] : [],
    ),
  );
  return (
    <nav
      aria-label={phrases.contents}
      className={
        'no-print sheet max-h-[40vh] overflow-y-auto text-[0.87rem] ' +
        'lg:sticky lg:top-2 lg:max-h-[calc(100vh-1rem)]'
      }
    >
      {questions + undecided + stale.length > 0 && (
        <div className="border-b border-l-4 border-b-rule border-l-degraded px-2 py-1">
          <strong>{phrases.open}</strong>
          {undecided > 0 && (
            <Link className="block py-1 underline" to={`/c/${id}/verdict`}>
              {phrases.undecided(phrases.countedClaims(undecided))}
            </Link>
          )}
          {stale[0] && (
            <a className="block py-1 underline" href={`#part-${stale[0].section}`}>
              {phrases.wordedBeforeTheFiguresChanged(phrases.countedParagraphs(stale.length))}
            </a>
          )}
          {questions > 0 && (
            <Link className="block py-1 underline" to={`/c/${id}/verdict?show=fairness`}>
              {phrases.ofFairness(phrases.countedQuestions(questions))}
            </Link>
          )}
        </div>
      )}
      <ol>
        {document.sections.map((s) => (
          <li key={s.id}>
            <a href={`#part-${s.id}`} className="block border-b border-rule px-2 py-1 hover:bg-white">
              {s.title}
            </a>
          </li>
        ))}
      </ol>
    </nav>
  );
}
