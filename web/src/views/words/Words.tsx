import { wordScene } from '@urvek/draw';
import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { Stage } from '../../components/Stage.tsx';
import { Picture } from '../../components/Picture.tsx';
import { anchorOfWord, WORDS } from './words.ts';
import * as phrases from './phrases.ts';

/** The instrument's words, each with one meaning and, where it is drawn, its picture. */
export function Words() {
  const { hash } = useLocation();
  useEffect(() => {
    if (hash !== '') document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash]);
  return (
    <Stage title={phrases.whatUrvekCallsThings} lead={phrases.oneWordOneMeaningOnEvery}>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        {WORDS.map(({ about, words }) => (
          <section key={about} className="sheet px-3 py-2" aria-label={about}>
            <h2>{about}</h2>
            <dl className="mt-1">
              {words.map(({ word, means, picture }) => (
                <div
                  key={word}
                  id={anchorOfWord(word)}
                  className={
                    'grid scroll-mt-2 grid-cols-[10rem_1fr] items-center gap-x-3 ' +
                    'border-t border-rule py-1 target:bg-white'
                  }
                >
                  <dt className="font-bold">
                    {word}
                    {picture && (
                      <span aria-hidden className="block w-[132px]">
                        <Picture scene={wordScene(picture)} />
                      </span>
                    )}
                  </dt>
                  <dd>{means}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Stage>
  );
}
