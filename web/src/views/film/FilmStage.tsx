import type { EventOf } from '@urvek/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useLog } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Loading } from '../../components/States.tsx';
import { BeginOnFilm } from './BeginOnFilm.tsx';
import { FilmLog } from './FilmLog.tsx';
import { PickReel } from './PickReel.tsx';
import { opened } from './reel.ts';
import * as phrases from './phrases.ts';

/** Log from a recording: one's own film or sound of a walk, which never leaves this device. */
export function FilmStage({ walkId, ...workspace }: Ready & { walkId: string | undefined }) {
  const [search] = useSearchParams();
  const log = useLog(walkId);
  const [reel, setReel] = useState(() => (walkId === undefined ? undefined : opened.get(walkId)));
  const known = (log ?? []).filter(
    (e): e is EventOf<'recording'> => e.kind === 'recording' && e.body.besideFromS === undefined,
  );
  // Looked up anew, it is not there for a moment: what plays goes on.
  if (walkId !== undefined && !log && !reel) return <Loading what={phrases.theWalk} />;
  return (
    <Stage title={phrases.logFromARecording} lead={phrases.aFilmOrASoundRecording}>
      {!reel ? (
        <PickReel
          known={known.map((e) => e.body)}
          onReel={(next) => {
            if (walkId !== undefined) opened.set(walkId, next);
            setReel(next);
          }}
        />
      ) : walkId === undefined ? (
        <BeginOnFilm workspace={workspace} reel={reel} />
      ) : (
        <FilmLog workspace={workspace} walkId={walkId} reel={reel} fromS={Number(search.get('at')) || 0} />
      )}
    </Stage>
  );
}
