import { pairSentences, textsOf, withoutMetres } from '@urvek/draw';
import type { RangeView } from '@urvek/study';
import * as phrases from './phrases.ts';

/** Why no walk of a cell has its outcome in metres. */
export const NoMetres = ({ range }: { range: RangeView }) => (
  <>
    <p>{phrases.noWalkHereHasThisOutcome}</p>
    <ul className="list-disc pl-5" data-without-metres>
      {textsOf([...withoutMetres(range), ...pairSentences(range)]).map((t) => (
        <li key={t}>{t}</li>
      ))}
    </ul>
  </>
);
