import { marked } from 'marked';
import { useEffect } from 'react';
import { useLocation } from 'react-router';
import reached from '../../../../docs/intervals.md?raw';
import text from '../../../../docs/methods.md?raw';
import { anchorOf } from './anchor.ts';
import * as phrases from './phrases.ts';

// Our own page, not anything that a user wrote: its HTML is taken as it is made.
const PAGE = marked
  .parse(`${text}\n\n${reached}`, { async: false })
  .replaceAll('<pre>', '<pre tabindex="0">')
  .replace(/<h2>(.*?)<\/h2>/g, (_, title: string) => `<h2 id="${anchorOf(title)}">${title}</h2>`);

/** How every published figure is made, paragraph by paragraph. */
export function Methods() {
  const { hash } = useLocation();
  useEffect(() => {
    document.title = phrases.methodsUrvek;
  }, []);
  useEffect(() => {
    if (hash) document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash]);
  return (
    <main id="work" className="mx-auto w-full max-w-[82ch] px-4 py-4">
      <div className="sheet prose-methods p-6" dangerouslySetInnerHTML={{ __html: PAGE }} />
    </main>
  );
}
