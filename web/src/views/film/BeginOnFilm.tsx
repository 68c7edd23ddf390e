import type { WalkHeader } from '@urvek/contract';
import { GRADES, kindOf, type Grade } from '@urvek/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Choice, Field } from '../../components/Field.tsx';
import { GradedBy } from '../../components/GradedBy.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Empty, Trouble } from '../../components/States.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { gradesOf } from '../../field/graders.ts';
import { delayInForce } from '../../field/operator.ts';
import { eventTime, nowMs } from '../../field/time.ts';
import { notBegun } from '../walk/device.ts';
import { StartAt } from '../walk/StartAt.tsx';
import { NOT_STATED, readingOfStart } from '../walk/startPlace.ts';
import { PlayerView } from './PlayerView.tsx';
import { opened, type Reel } from './reel.ts';
import { usePlayer } from './usePlayer.ts';
import * as phrases from './phrases.ts';

/** Which walk it is, and the frame at which it begins. */
export function BeginOnFilm({ workspace: { comparison }, reel }: { workspace: Ready; reel: Reel }) {
  const { products, paths } = comparison.setup;
  const rigs = products.flatMap((product) => product.rigs.map((rig) => ({ product, rig })));
  const player = usePlayer(reel);
  const navigate = useNavigate();
  // The only one is meant; of several nobody has said which.
  const [rigAt, setRigAt] = useState(rigs.length === 1 ? 0 : -1);
  const [pathAt, setPathAt] = useState(paths.length === 1 ? 0 : -1);
  const [day, setDay] = useState('');
  const [baseline, setBaseline] = useState<Grade>();
  const [grader, setGrader] = useState('');
  const [start, setStart] = useState(NOT_STATED);
  const [error, setError] = useState<Error>();
  const chosen = rigs[rigAt];
  const path = paths[pathAt];
  if (rigs.length === 0 || paths.length === 0)
    return <Empty title={phrases.noProductOrNoPathYet}>{phrases.aRecordingIsLoggedAsA}</Empty>;
  const kind = chosen && kindOf(chosen.product.kindId);
  const begin = async (): Promise<void> => {
    if (!chosen || !path || !kind) return;
    player.pause();
    const { atS, frameS } = player.moment();
    const dated = /^\d{4}-\d\d-\d\d$/.test(day) ? new Date(`${day}T12:00:00`).getTime() : NaN;
    const header: WalkHeader = {
      id: crypto.randomUUID(),
      comparisonId: comparison.id,
      productId: chosen.product.id,
      rigId: chosen.rig.id,
      pathId: path.id,
      startedMs: Number.isNaN(dated) ? nowMs() : dated,
      ...(Number.isNaN(dated) ? { undated: true } : {}),
    };
    const reading = readingOfStart(start);
    try {
      // Its clock is the recording's: it is not under way on this device's.
      await fieldLog.adopt(header, 0);
      await fieldLog.append(
        header.id,
        'begin',
        {
          direction: kind.direction,
          mode: 'continuous',
          ...(baseline === undefined ? {} : { baselineGrade: baseline }),
          ...(reading ? { reading } : {}),
          ...(start.inwards ? { inwards: true as const } : {}),
          ...(chosen.rig.playoutDelayS === undefined ? {} : { playoutDelayS: chosen.rig.playoutDelayS }),
          ...(grader.trim() === '' ? {} : { conditions: { gradedBy: grader } }),
          ...(await delayInForce()),
          ...(await gradesOf(grader)),
        },
        eventTime(atS, 1, undefined, frameS),
      );
      for (const { file, digest, seconds, beginsS } of reel)
        await fieldLog.append(
          header.id,
          'recording',
          { name: file.name.slice(0, 255), bytes: file.size, digest, seconds },
          // Of the walk's clock, which is this recording's.
          eventTime(beginsS, 1),
        );
      opened.set(header.id, reel);
      await navigate(`/c/${comparison.id}/film/${header.id}?at=${atS.toFixed(3)}`, { replace: true });
    } catch (cause) {
      setError(notBegun(cause));
    }
  };
  return (
    <div className="grid gap-3 lg:grid-cols-[1.6fr_1fr]">
      <PlayerView reel={reel} player={player} markers={[]} />
      <section className="sheet grid content-start gap-3 p-3" aria-label={phrases.theWalkOnIt}>
        <Choice
          label={phrases.rigThatWasWalked}
          value={rigAt}
          onChange={(e) => setRigAt(Number(e.target.value))}
        >
          {rigAt === -1 && <option value={-1}>{phrases.chooseOne}</option>}
          {rigs.map(({ product, rig }, i) => (
            <option key={rig.id} value={i}>
              {product.name}: {rig.name}
            </option>
          ))}
        </Choice>
        <Choice label={phrases.path} value={pathAt} onChange={(e) => setPathAt(Number(e.target.value))}>
          {pathAt === -1 && <option value={-1}>{phrases.chooseOne}</option>}
          {paths.map((p, i) => (
            <option key={p.id} value={i}>
              {p.name}
            </option>
          ))}
        </Choice>
        <Field
          label={phrases.dayIfKnown}
          placeholder="2026-05-12"
          value={day}
          onChange={(e) => setDay(e.target.value)}
        />
        <Choice
          label={phrases.baselineWhereItBegins}
          value={baseline ?? ''}
          onChange={(e) => setBaseline(e.target.value === '' ? undefined : (Number(e.target.value) as Grade))}
        >
          <option value="">{phrases.notGraded}</option>
          {GRADES.map((g) => (
            <option key={g} value={g}>
              {g}
              {kind && `: ${kind.words[g]}`}
            </option>
          ))}
        </Choice>
        <GradedBy name={grader} onChange={setGrader} />
        <StartAt start={start} onChange={setStart} usual={path?.distanceMethod ?? 'by eye'} />
        {error && <Trouble error={error} />}
        <p>
          <button
            type="button"
            className="btn btn-main"
            disabled={!chosen || !path}
            onClick={() => void begin()}
          >
            {phrases.theWalkBeginsHere}
          </button>
        </p>
        <p className="text-faint">{phrases.goToTheMomentAtWhich}</p>
      </section>
    </div>
  );
}
