import { questionWords, type Carried } from '@urvek/core';
import * as phrases from './phrases.ts';

/** What the linter asks; not printed. */
export function WordingQuestions({ text, carried }: { text: string; carried: Carried }) {
  const questions = questionWords(text, carried);
  if (questions.length === 0) return null;
  return (
    <ul
      className="no-print border-l-4 border-degraded pl-3 text-[0.87rem]"
      aria-label={phrases.wordsInQuestion}
    >
      {questions.map((q) => (
        <li key={`${q.at}-${q.word}`}>
          <strong>“{q.word}”</strong> {q.question}
        </li>
      ))}
    </ul>
  );
}
