import { useState } from 'react';
import { CardMaker } from './CardMaker.tsx';
import type { About } from './cardsParts.ts';
import * as phrases from './phrases.ts';

/** Pictures for a film, a post or a page, drawn when they are asked for. */
export function Cards(about: About) {
  const [open, setOpen] = useState(false);
  return (
    <details className="no-print sheet mb-3 p-4" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer font-bold">{phrases.picturesForAFilmAPost}</summary>
      {open && <CardMaker {...about} />}
    </details>
  );
}
