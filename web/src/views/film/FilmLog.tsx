import { effectiveLog, isAutomatic, liveStateOf, placeAt, type EventOf, type Path } from '@urvek/core';
import { travelledGround, walkLanes } from '@urvek/draw';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { eventText } from '../../state/eventText.ts';
import { Announce } from '../walk/Announce.tsx';
import { LastEvents } from '../walk/LastEvents.tsx';
import { useTraceSoon } from '../walk/useTraceSoon.ts';
import { useWalkSession } from '../walk/useWalkSession.ts';
import { Beside } from './Beside.tsx';
import { FilmFiles } from './FilmFiles.tsx';
import { FilmKeys } from './FilmKeys.tsx';
import { FindLosses } from './FindLosses.tsx';
import { PlayerView } from './PlayerView.tsx';
import { secondsOfReel, type Reel } from './reel.ts';
import { TrackBeside } from './TrackBeside.tsx';
import { useFilmEntries } from './useFilmEntries.ts';
import { usePlayer } from './usePlayer.ts';
import * as phrases from './phrases.ts';

/** The walk’s keys, on the recording’s clock. */
export function FilmLog({
  workspace,
  walkId,
  reel,
  fromS,
}: {
  workspace: Ready;
  walkId: string;
  reel: Reel;
  fromS: number;
}) {
  const { comparison, id } = workspace;
  const kept = useFieldLog(async () => (await fieldLog.walks.get(walkId)) ?? null, `walk ${walkId}`);
  const { session, log, state, ready, unkept } = useWalkSession(walkId);
  const player = usePlayer(reel, fromS);
  const { error, press, logNow, take, gradeStretch, place, takeOut, join, undo } = useFilmEntries(
    session,
    player,
    state.begin?.time.walkS ?? 0,
  );
  const product = comparison.setup.products.find((p) => p.id === kept?.header.productId);
  const path = comparison.setup.paths.find((p) => p.id === kept?.header.pathId);
  const trace = useTraceSoon(log, state.entries, path as Path | undefined);
  const lanes = useMemo(() => (trace ? walkLanes(trace, 'out', 'film') : []), [trace]);
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const standing = useMemo(() => effectiveLog(log), [log, state.entries]);
  if (kept === null)
    return (
      <Empty title={phrases.thisDeviceDidNotLogThis}>
        {phrases.aRecordingIsLoggedOnFrom}
        <Link to={`/c/${id}/trace/${walkId}`}>{phrases.itsTrace}</Link>
        {phrases.takesCorrectionsFromEverywhere}
      </Empty>
    );
  if (!ready || !kept || !state.begin || !product || !path) return <Loading what={phrases.theLog} />;
  // One goes back in a recording: what stands is what was logged up to here.
  const here = liveStateOf(standing.filter((e) => e.time.walkS <= player.atS));
  const ended = standing.find((e) => e.kind === 'end');
  const hereM = trace && placeAt(trace, player.atS)?.travelledM;
  return (
    <>
      <div className="sheet mb-2 px-3 py-1">
        <Tape
          title={phrases.onFromTheRecording(product.name, path.name)}
          ground={travelledGround(path)}
          measure="travelled"
          lanes={lanes}
          hereM={hereM}
        />
      </div>
      <Announce log={log} unkept={unkept} />
      {error && <Trouble error={error} />}
      <div className="grid gap-3 lg:grid-cols-2">
        <div>
          <PlayerView
            reel={reel}
            player={player}
            markers={standing
              .filter((e) => !isAutomatic(e) && e.kind !== 'recording')
              .map((e) => ({ atS: e.time.walkS, what: eventText(e) }))}
          />
          <FindLosses
            reel={reel}
            fromS={state.begin.time.walkS}
            toS={ended?.time.walkS ?? Infinity}
            onLook={player.look}
            hereS={() => player.atS}
            onAccept={(list) => void take(list)}
            onGrade={(graded) => void gradeStretch(graded)}
            noticed={trace?.noticed}
          />
          <Beside
            player={player}
            known={standing.filter(
              (e): e is EventOf<'recording'> => e.kind === 'recording' && e.body.besideFromS !== undefined,
            )}
            onJoin={(file, besideFromS) => void join(file, besideFromS)}
          />
          <TrackBeside
            comparisonId={id}
            atS={player.atS}
            located={path.fixedEnd !== undefined}
            known={standing.filter((e): e is EventOf<'fix'> => e.kind === 'fix')}
            fromS={state.begin.time.walkS}
            toS={ended?.time.walkS ?? secondsOfReel(reel)}
            onPlace={place}
            onTakeOut={takeOut}
          />
        </div>
        <FilmKeys
          setup={comparison.setup}
          product={product}
          path={path}
          rigId={kept.header.rigId}
          here={here}
          canUndo={state.undoable !== undefined}
          press={press}
          logNow={logNow}
          onUndo={undo}
          onPause={player.pause}
        />
      </div>
      <LastEvents log={log} />
      {ended && (
        <p role="status" className="mt-2 border-l-4 border-accent pl-3">
          {phrases.atS(eventText(ended), ended.time.walkS.toFixed(2))}
          <Link className="underline" to={`/c/${id}/trace/${walkId}`}>
            {phrases.itsTrace}
          </Link>
        </p>
      )}
      {trace && <FilmFiles trace={trace} reel={reel} path={path as Path} label={product.name} />}
    </>
  );
}
