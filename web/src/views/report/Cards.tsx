import { useState } from 'react';
import { useAnswer } from '../../api/study.ts';
import { Loading, Trouble } from '../../components/States.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { useLens } from '../../state/lens.ts';
import { CardMaker } from './CardMaker.tsx';
import * as phrases from './phrases.ts';

interface About {
  readonly workspace: Ready;
  readonly simulated: boolean;
}

/** Pictures for a film, a post or a page, drawn when they are asked for. */
export function Cards(about: About) {
  const [open, setOpen] = useState(false);
  return (
    <details className="no-print sheet mb-3 p-4" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer font-bold">{phrases.picturesForAFilmAPost}</summary>
      {open && <Asked {...about} />}
    </details>
  );
}

function Asked({ workspace, simulated }: About) {
  const [{ kindId, pathId }] = useLens();
  const { data, error } = useAnswer(workspace, { ask: 'published', kindId, pathId });
  if (error) return <Trouble error={error} />;
  if (!data) return <Loading what={phrases.whatThePicturesShow} />;
  return <CardMaker comparison={workspace.comparison} judged={data} simulated={simulated} />;
}
