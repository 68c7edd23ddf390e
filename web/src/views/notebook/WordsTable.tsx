import { GRADES, readWords, sayingsOf, type Grade, type Saying } from '@urvek/core';
import { useState } from 'react';
import { Choice, Field } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

/** So many sayings of the whole table are shown at once; the rest is found by writing a part of it. */
const SHOWN = 30;
const ASKED = 'asked';

/** What words are taken to mean: those of this notebook first, then all; each can be corrected, and others added. */
export function WordsTable({
  said,
  kindId,
  own,
  onChange,
}: {
  /** What was written under words, without a grade of its own. */
  said: readonly string[];
  kindId: string | undefined;
  /** What this comparison has corrected or added. */
  own: readonly Saying[];
  onChange: (own: readonly Saying[]) => void;
}) {
  const [part, setPart] = useState('');
  const [words, setWords] = useState('');
  const here = [...new Set(said.map(tidy))];
  const sought = tidy(part);
  const table = sayingsOf(kindId).filter((s) => sought !== '' && tidy(s.words).includes(sought));
  const put = (saying: string, as: string): void => {
    const others = own.filter((s) => tidy(s.words) !== tidy(saying));
    const usual = sayingsOf(kindId).find((s) => tidy(s.words) === tidy(saying));
    if (as === '') return onChange(others);
    const made: Saying =
      as === ASKED
        ? { words: tidy(saying), grade: usual?.grade ?? 3, unsure: true }
        : { words: tidy(saying), grade: Number(as) as Grade };
    return onChange([...others, made]);
  };
  const row = (saying: string, read: string, whole: boolean) => {
    const mine = own.find((s) => tidy(s.words) === tidy(saying));
    return (
      <tr key={saying}>
        <td>“{saying}”</td>
        <td>{read}</td>
        <td>
          <Choice
            hideLabel
            label={phrases.means(saying)}
            value={mine ? (mine.unsure ? ASKED : String(mine.grade)) : ''}
            onChange={(e) => put(saying, e.target.value)}
          >
            <option value="">{whole ? phrases.asItIsRead : phrases.asTheTableHasIt}</option>
            {GRADES.map((g) => (
              <option key={g} value={g}>
                {phrases.gradeHere(g)}
              </option>
            ))}
            <option value={ASKED}>{phrases.askedEachTime}</option>
          </Choice>
        </td>
      </tr>
    );
  };
  const inTable = (s: Saying): string =>
    s.unsure ? phrases.askedMostOften(s.grade) : phrases.grade(s.grade);
  const read = (text: string): string => {
    const found = readWords(text, kindId, own);
    if (!found) return phrases.nothingOfTheQualityKeptAs;
    return 'ask' in found ? phrases.asked(found.ask) : phrases.gradeFrom(found.grade, found.from);
  };
  return (
    <details className="sheet mt-3 p-3">
      <summary className="cursor-pointer font-bold">
        {phrases.whatWordsAreTakenToMean}
        {own.length > 0 && phrases.ofYourOwn(own.length)}
      </summary>
      <div className="mt-2 grid gap-4 lg:grid-cols-2">
        <section aria-label={phrases.wordsOfThisNotebookAndYour}>
          <table className="table">
            <thead>
              <tr>
                <th>{phrases.writtenHere}</th>
                <th>{phrases.readAs}</th>
                <th>{phrases.hereItMeans}</th>
              </tr>
            </thead>
            <tbody>
              {here.map((text) => row(text, read(text), true))}
              {own.filter((s) => !here.includes(tidy(s.words))).map((s) => row(s.words, inTable(s), false))}
            </tbody>
          </table>
          <form
            className="mt-2 flex flex-wrap items-end gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              if (tidy(words)) put(words, String(3));
              setWords('');
            }}
          >
            <Field
              className="w-56"
              label={phrases.anotherSaying}
              placeholder={phrases.likeABathroom}
              maxLength={120}
              value={words}
              onChange={(e) => setWords(e.target.value)}
            />
            <button className="btn" disabled={!tidy(words)}>
              {phrases.addItAsGrade3}
            </button>
          </form>
        </section>
        <section aria-label={phrases.theWholeTable}>
          <Field
            label={phrases.lookASayingUpOfThe}
            placeholder={phrases.crack}
            value={part}
            onChange={(e) => setPart(e.target.value)}
          />
          {sought !== '' && (
            <table className="table mt-1">
              <thead>
                <tr>
                  <th>{phrases.saying}</th>
                  <th>{phrases.usually}</th>
                  <th>{phrases.hereItMeans}</th>
                </tr>
              </thead>
              <tbody>{table.slice(0, SHOWN).map((s) => row(s.words, inTable(s), false))}</tbody>
            </table>
          )}
          {table.length > SHOWN && (
            <p className="text-faint">{phrases.andMoreWriteOn(table.length - SHOWN)}</p>
          )}
          {sought !== '' && table.length === 0 && <p>{phrases.noSayingOfTheTableHas}</p>}
        </section>
      </div>
      <p className="mt-2 text-faint">{phrases.whatIsChangedHereGoesWith}</p>
    </details>
  );
}

const tidy = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');
