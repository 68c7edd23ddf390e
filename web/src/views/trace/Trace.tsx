import { Paged } from '../../components/Paged.tsx';
import { Loading, Empty, Trouble } from '../../components/States.tsx';
import { useLog, useStudy, useFieldLog } from '../../api/queries.ts';
import type { WalkRow, Finding } from '@urvek/study';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import {
  CRITERIA,
  CRITERION_MEANING,
  DEFAULT_DELAY,
  DISTANCE_METHODS,
  GRADES,
  isAutomatic,
  joinLogs,
  keyText,
  kindOf,
  looksMisread,
  outcomeOf,
  standingCorrections,
  type Correction,
  type DistanceMethod,
  type Grade,
  type JoinedDevice,
  type Side,
  type WalkEvent,
} from '@urvek/core';
import { COLOUR, intervalText, travelledGround, walkLanes } from '@urvek/draw';
import { format } from 'date-fns';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { Choice, Field } from '../../components/Field.tsx';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Length } from '../../components/Length.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Tape } from '../../components/Tape.tsx';
import { fieldLog, SET_ASIDE } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { eventText } from '../../state/eventText.ts';
import { useUnit } from '../../state/unit.ts';
import { TimeLine } from './TimeLine.tsx';
import { Truth } from './Truth.tsx';

export const Trace = () => <WithWorkspace>{(workspace) => <TraceStage {...workspace} />}</WithWorkspace>;

function TraceStage(workspace: Ready) {
  const { id, comparison, walks } = workspace;
  const { walkId } = useParams();
  const row = walks.find((w) => w.walkId === walkId) ?? walks.at(-1);
  const { data: finding, error } = useStudy(
    workspace,
    ['finding', row?.walkId],
    (study, of) => study.finding(of, (row as WalkRow).walkId),
    row !== undefined,
  );
  const whole = useLog(row?.walkId);
  if (!row)
    return (
      <Stage title="Trace">
        <Empty title="No walk yet">
          A trace is worked out from the log of a walk:{' '}
          <Link className="underline" to={`/c/${id}/walk`}>
            make one
          </Link>
          , or{' '}
          <Link className="underline" to={`/c/${id}/import-sheet`}>
            take walks from a table
          </Link>
          .
        </Empty>
      </Stage>
    );
  if (error) return <Trouble error={error} />;
  if (!finding || !whole || finding.walkId !== row.walkId) return <Loading what="the walk" />;
  const { log, joined } = joinLogs(whole);
  return (
    <Stage
      title={`Trace: ${finding.product} on ${finding.path.name}, walk ${finding.label}`}
      lead={
        <>
          {format(finding.header.startedMs, 'd MMMM yyyy, HH:mm')};{' '}
          {finding.trace.endReason ? `ended: ${finding.trace.endReason}` : 'still under way'};{' '}
          {finding.trace.direction}
          {finding.trace.begin.body.simulatedSeed !== undefined && '; simulated gear'}
        </>
      }
      actions={
        <Link className="btn" to={`/c/${id}/import-sheet`}>
          Walks from a table
        </Link>
      }
    >
      <div className="grid gap-4 lg:grid-cols-[210px_1fr]">
        <WalkList id={id} walks={walks} current={finding.walkId} />
        <div className="grid min-w-0 content-start gap-4">
          <section className="sheet px-3 py-2" aria-label="The walk on the tape">
            <Tape
              title={`Walk ${finding.label} of ${finding.product} on the tape`}
              ground={travelledGround(finding.path)}
              measure="travelled"
              lanes={walkLanes(finding.trace, 'out', 'walk')}
            />
            <Legend />
          </section>
          <FailedChecks
            finding={finding}
            kindId={comparison.setup.products.find((p) => p.id === finding.header.productId)?.kindId}
          />
          <TimeLine key={finding.walkId} finding={finding} log={log} />
          <div className="grid gap-4 xl:grid-cols-[1.1fr_1fr]">
            <div className="grid content-start gap-4">
              <Outcomes finding={finding} joined={joined} />
              <Lag finding={finding} log={log} />
              <Truth key={finding.walkId} setup={comparison.setup} finding={finding} log={log} />
            </div>
            <Log finding={finding} log={log} />
          </div>
        </div>
      </div>
    </Stage>
  );
}

/** What the rig check found wrong before this walk. */
function FailedChecks({ finding, kindId }: { finding: Finding; kindId: string | undefined }) {
  const failed = finding.trace.begin.body.checks?.filter((c) => c.result === 'failed') ?? [];
  if (failed.length === 0 || kindId === undefined) return null;
  const { checks } = kindOf(kindId);
  return (
    <p className="sheet border-l-4 border-l-lost px-3 py-2">
      <strong>Failed in the rig check:</strong>{' '}
      {failed.map((f) => checks.find((c) => c.id === f.id)?.text ?? f.id).join('; ')}.
    </p>
  );
}

function WalkList({ id, walks, current }: { id: string; walks: readonly WalkRow[]; current: string }) {
  return (
    <nav aria-label="Walks" className="sheet h-fit">
      <Paged items={walks} at={walks.findIndex((w) => w.walkId === current)} what="walks">
        {(page) => (
          <ol>
            {page.map((f) => (
              <li key={f.walkId}>
                <Link
                  to={`/c/${id}/trace/${f.walkId}`}
                  aria-current={f.walkId === current ? 'page' : undefined}
                  className={`block border-b border-rule px-3 py-1.5 hover:bg-white ${f.walkId === current ? 'bg-white font-bold shadow-[inset_5px_0_0_var(--color-accent)]' : ''}`}
                >
                  {f.product} <span className="figure">{f.label}</span>
                  <span className="block text-[0.8rem] font-normal text-faint">
                    {f.path}, {f.endReason ?? 'under way'}
                  </span>
                </Link>
              </li>
            ))}
          </ol>
        )}
      </Paged>
    </nav>
  );
}

const Legend = () => (
  <ul
    className="flex flex-wrap gap-x-5 border-t border-rule py-1 text-[0.85rem] text-faint"
    aria-label="Legend"
  >
    <li>
      <span
        aria-hidden
        className="mr-1.5 inline-block h-3 w-5 align-middle"
        style={{ background: COLOUR.clear }}
      />
      clear: solid, full height
    </li>
    <li>
      <span
        aria-hidden
        className="mr-1.5 inline-block h-1.5 w-5 border border-degraded align-baseline"
        style={{
          background: `repeating-linear-gradient(45deg,${COLOUR.degraded} 0 2px,transparent 2px 5px)`,
        }}
      />
      degraded: hatched, half height
    </li>
    <li>
      <span aria-hidden className="mr-1.5 inline-block h-3 w-5 border-x-2 border-lost align-middle" />
      lost: an open gap
    </li>
    <li>| mark, with two standard uncertainties</li>
  </ul>
);

function Outcomes({ finding, joined }: { finding: Finding; joined: readonly JoinedDevice[] }) {
  const [unit] = useUnit();
  const { summary, directions, seconds, trace } = finding;
  const sides: Side[] =
    directions.length > 1
      ? [...directions.map((d) => d.direction), 'both ways']
      : directions.map((d) => d.direction);
  // Good, bad and good again on the way out: first dropout and last usable then differ, and both are shown.
  const out = trace.stretches.filter((s) => !s.returning);
  const firstLost = out.findIndex((s) => s.state === 'lost');
  const comesBack = firstLost !== -1 && out.slice(firstLost).some((s) => s.grade >= 3);
  return (
    <section className="sheet p-3" aria-label="Outcomes">
      <h2>Outcomes, in separation</h2>
      <table className="table mt-1">
        <thead>
          <tr>
            <th>Criterion</th>
            {sides.map((side) => (
              <th key={side}>{sides.length > 1 ? side : 'Interval'}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {CRITERIA.map((criterion) => (
            <tr key={criterion}>
              <td title={CRITERION_MEANING[criterion]}>{criterion}</td>
              {sides.map((side) => {
                const o = outcomeOf(finding, criterion, side);
                return (
                  <td key={side}>
                    {o.interval ? (
                      <span className="figure">{intervalText(o.interval, unit)}</span>
                    ) : (
                      <span className="text-faint">{o.absent}</span>
                    )}
                    {o.bent && <span className="text-faint"> (bent path: least and greatest)</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {seconds.length > 0 && (
        <>
          <h3 className="mt-3">What the other device says of the same direction, side by side</h3>
          <table className="table mt-1" data-seconds>
            <thead>
              <tr>
                <th>Criterion</th>
                <th>The walk’s own device</th>
                {seconds.map((s) => (
                  <th key={s.joined.deviceId}>{s.joined.role}, joined</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {CRITERIA.slice(0, 5).map((criterion) => (
                <tr key={criterion}>
                  <td>{criterion}</td>
                  {[finding, ...seconds].map((of, i) => {
                    const o = of.outcomes.find((x) => x.criterion === criterion);
                    return (
                      <td key={i} className="figure">
                        {o?.interval ? intervalText(o.interval, unit) : o?.absent}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {joined.length > 0 && (
        <ul className="mt-2 text-[0.85rem]" aria-label="Devices that joined">
          {joined.map((j) => (
            <li key={j.deviceId}>
              {j.role} watched {j.direction}; its clock by {j.by}, ±{' '}
              {j.uncertaintyS < 1
                ? `${(1000 * j.uncertaintyS).toFixed(0)} ms`
                : `${j.uncertaintyS.toFixed(1)} s`}
              .
            </li>
          ))}
        </ul>
      )}
      {comesBack && (
        <p className="mt-2 border-l-4 border-degraded pl-2">
          Coverage comes back beyond the first loss: a farther place works where a nearer one fails. First
          dropout and last usable differ.
        </p>
      )}
      <p className="mt-2">
        Dropouts: <span className="figure">{summary.dropouts.length}</span>,{' '}
        <span className="figure">{summary.lostS.toFixed(0)} s</span> in all, the longest{' '}
        <span className="figure">{summary.longestDropoutS.toFixed(0)} s</span>.
        {summary.usableShare !== undefined && (
          <>
            {' '}
            Usable on <span className="figure">{(100 * summary.usableShare).toFixed(0)} %</span> of the way
            out
            {summary.longestUsableM !== undefined && (
              <>
                , the longest stretch <Length m={summary.longestUsableM} />
              </>
            )}
            .
          </>
        )}
        {trace.gaps > 0 && (
          <>
            {' '}
            <strong>
              {trace.gaps} {trace.gaps === 1 ? 'gap' : 'gaps'}
            </strong>{' '}
            in which nothing could be logged.
          </>
        )}
      </p>
    </section>
  );
}

/** The delay by which what was noticed is moved back; adjusted by a correction, never in place. */
function Lag({ finding, log }: { finding: Finding; log: readonly WalkEvent[] }) {
  const { begin } = finding.trace;
  const now = begin.body.delay ?? DEFAULT_DELAY;
  const [reaction, setReaction] = useState('');
  const [spread, setSpread] = useState('');
  const notice = useNotice();
  const valid = [reaction, spread].every((v) => v.trim() !== '' && Number(v) >= 0 && Number(v) <= 10);
  const adjust = async (): Promise<void> => {
    await fieldLog.adopt(finding.header, 0);
    const write = (correction: Correction): Promise<WalkEvent> =>
      fieldLog.append(finding.walkId, 'correction', correction, eventTime(begin.time.walkS, begin.time.rate));
    const amends = log.find((e) => e.kind === 'begin') ?? begin;
    const made = await write({
      amends: { deviceId: amends.deviceId, seq: amends.seq },
      action: 'retime',
      reason: `delay of ${reaction} s for the whole walk`,
      delay: { reactionS: Number(reaction), spreadS: Number(spread) },
    });
    void sync();
    notice({
      text: 'Lag corrected',
      undo: () =>
        void write({
          amends: { deviceId: made.deviceId, seq: made.seq },
          action: 'withdraw',
          reason: 'undone',
        }).then(sync),
    });
  };
  return (
    <section className="sheet p-3" aria-label="Lag">
      <h2>Lag</h2>
      <p className="mt-1">
        What was noticed is moved back by a reaction of{' '}
        <span className="figure">
          {now.reactionS} ± {now.spreadS} s
        </span>
        {begin.body.delay ? '' : ' (the usual one)'} and a playout delay of{' '}
        <span className="figure">{begin.body.playoutDelayS} s</span>.
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <Field
          className="w-28"
          label="Reaction"
          suffix="s"
          inputMode="decimal"
          value={reaction}
          onChange={(e) => setReaction(e.target.value)}
        />
        <Field
          className="w-28"
          label="Spread"
          suffix="s"
          inputMode="decimal"
          value={spread}
          onChange={(e) => setSpread(e.target.value)}
        />
        <button type="button" className="btn" disabled={!valid} onClick={() => void adjust()}>
          Correct it
        </button>
      </div>
    </section>
  );
}

/** A log of an hour has thousands of entries: so many are drawn at a time. */
const ROWS = 400;

function Log({ finding, log }: { finding: Finding; log: readonly WalkEvent[] }) {
  const [amended, setAmended] = useState<WalkEvent>();
  const [all, setAll] = useState(false);
  const [rows, setRows] = useState(ROWS);
  const corrections = standingCorrections(log);
  const shown = [...log]
    .sort((a, b) => a.time.walkS - b.time.walkS)
    .filter((e) => e.kind !== 'correction' && (all || !isAutomatic(e)));
  return (
    <section className="sheet p-3" aria-label="Log">
      <div className="flex items-center">
        <h2 className="flex-1">Log</h2>
        <label className="flex items-center gap-1.5 text-[0.85rem]">
          <input type="checkbox" checked={all} onChange={(e) => setAll(e.target.checked)} />
          wheel readings too
        </label>
      </div>
      <SetAside walkId={finding.walkId} />
      <div
        className="mt-1 max-h-[26rem] overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label="Events of the log"
      >
        <table className="table">
          <thead>
            <tr>
              <th>At</th>
              <th>What</th>
              <th>
                <span className="sr-only">Correct</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.slice(0, rows).map((event) => {
              const correction = corrections.get(keyText(event));
              return (
                <tr key={keyText(event)}>
                  <td className="figure whitespace-nowrap">{event.time.walkS.toFixed(1)} s</td>
                  <td>
                    <span className={correction?.action === 'withdraw' ? 'line-through' : ''}>
                      {eventText(event)}
                    </span>
                    {event.kind === 'note' && event.body.voice && (
                      <audio
                        controls
                        preload="none"
                        className="block h-8 max-w-full"
                        aria-label={`Spoken note at ${event.time.walkS.toFixed(1)} s`}
                        src={`data:${event.body.voice.mime};base64,${event.body.voice.base64}`}
                      />
                    )}
                    {correction && (
                      <span className="block text-[0.85rem] text-faint">{correctionText(correction)}</span>
                    )}
                  </td>
                  <td>
                    {event.kind !== 'begin' && event.kind !== 'gap' && (
                      <button
                        className="btn-quiet"
                        aria-label={`Correct: ${eventText(event)} at ${event.time.walkS.toFixed(1)} s`}
                        onClick={() => setAmended(event)}
                      >
                        Correct
                      </button>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {shown.length > rows && (
          <button type="button" className="btn mt-2" onClick={() => setRows(rows + ROWS)}>
            Show {Math.min(ROWS, shown.length - rows)} more of {shown.length}
          </button>
        )}
      </div>
      {amended && (
        <CorrectionDialog finding={finding} event={amended} onClose={() => setAmended(undefined)} />
      )}
    </section>
  );
}

/** Events that the base refused: they stay on this device, and the rest goes on without them. */
function SetAside({ walkId }: { walkId: string }) {
  const aside = useFieldLog(
    () => fieldLog.events.where({ walkId, place: SET_ASIDE }).toArray(),
    `aside-${walkId}`,
  );
  if (!aside || aside.length === 0) return null;
  return (
    <div className="border-l-4 border-lost pl-3" role="status">
      <p>Refused by the base and set aside on this device; the rest was sent.</p>
      <ul className="text-[0.85rem]">
        {aside.map((k) => (
          <li key={k.seq}>
            number {k.seq}, {k.event.kind}: {k.refusal}
          </li>
        ))}
      </ul>
    </div>
  );
}

const correctionText = (c: Correction): string =>
  `${c.action === 'withdraw' ? 'withdrawn' : c.action === 'move' ? `moved to ${c.walkS?.toFixed(1)} s` : c.action === 'remeasure' ? `measured again: ${c.reading?.travelledM} m, ${c.reading?.method}` : c.action === 'retime' ? `lag corrected to ${c.delay?.reactionS} s` : `made grade ${c.grade}`}: ${c.reason}${c.author ? ` (${c.author})` : ''}`;

/** A correction is an event of its own, with its reason; what it amends stays in the log. */
function CorrectionDialog({
  finding,
  event,
  onClose,
}: {
  finding: Finding;
  event: WalkEvent;
  onClose: () => void;
}) {
  const [action, setAction] = useState<Correction['action']>('withdraw');
  const [walkS, setWalkS] = useState(event.time.walkS.toFixed(1));
  const [grade, setGrade] = useState<Grade>(event.kind === 'grade' ? event.body.grade : 5);
  const mark = event.kind === 'mark' ? event.body.reading : undefined;
  const [metres, setMetres] = useState(mark ? String(mark.travelledM) : '');
  const [method, setMethod] = useState<DistanceMethod>(mark?.method ?? 'marked line');
  const [author, setAuthor] = useState('');
  const [reason, setReason] = useState('');
  const slip =
    action === 'remeasure' &&
    looksMisread(
      Number(metres),
      finding.trace.fixes
        .filter((f) => Math.abs(f.atS - event.time.walkS) > 0.05)
        .sort((a, b) => Math.abs(a.atS - event.time.walkS) - Math.abs(b.atS - event.time.walkS))
        .slice(0, 2)
        .map((f) => f.travelledM),
    );
  const [error, setError] = useState<Error>();
  const notice = useNotice();
  const write = (correction: Correction): Promise<WalkEvent> =>
    fieldLog.append(finding.walkId, 'correction', correction, eventTime(event.time.walkS, event.time.rate));
  const correct = async (): Promise<void> => {
    const amends = { deviceId: event.deviceId, seq: event.seq };
    try {
      await fieldLog.adopt(finding.header, 0);
      const made = await write({
        amends,
        action,
        reason: reason.trim(),
        ...(action === 'move' ? { walkS: Number(walkS) } : {}),
        ...(action === 'regrade' ? { grade } : {}),
        ...(action === 'remeasure'
          ? { reading: { travelledM: Number(metres), method, pressed: mark?.pressed ?? true } }
          : {}),
        ...(author.trim() ? { author: author.trim() } : {}),
      });
      void sync();
      onClose();
      notice({
        text: 'Correction logged',
        undo: () =>
          void write({
            amends: { deviceId: made.deviceId, seq: made.seq },
            action: 'withdraw',
            reason: 'undone',
          }).then(sync),
      });
    } catch (cause) {
      setError(
        new Error('The correction was not kept: this device refuses to store it. The log is as it was.', {
          cause,
        }),
      );
    }
  };
  const ready =
    reason.trim() !== '' &&
    (action !== 'move' || Number(walkS) >= 0) &&
    (action !== 'remeasure' || (metres !== '' && Number(metres) >= 0));
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div className="fixed inset-0 bg-ink/40" aria-hidden />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="sheet grid w-full max-w-md gap-3 border-2 border-ink p-5">
          <DialogTitle className="text-[1.05rem] font-bold">Correct “{eventText(event)}”</DialogTitle>
          <p className="text-faint">The entry stays in the log; the correction stands beside it.</p>
          <Choice
            label="Correction"
            value={action}
            onChange={(e) => setAction(e.target.value as Correction['action'])}
          >
            <option value="withdraw">it did not happen: withdraw it</option>
            <option value="move">it happened at another time</option>
            {event.kind === 'grade' && <option value="regrade">it was another grade</option>}
            {event.kind === 'mark' && (
              <option value="remeasure">it was at another distance, or measured otherwise</option>
            )}
          </Choice>
          {action === 'move' && (
            <Field
              label="Happened at, on the walk’s clock"
              suffix="s"
              type="number"
              min={0}
              step="0.1"
              value={walkS}
              onChange={(e) => setWalkS(e.target.value)}
            />
          )}
          {action === 'regrade' && (
            <Choice label="Grade" value={grade} onChange={(e) => setGrade(Number(e.target.value) as Grade)}>
              {GRADES.map((g) => (
                <option key={g} value={g}>
                  {g}
                </option>
              ))}
            </Choice>
          )}
          {action === 'remeasure' && (
            <div className="grid grid-cols-2 gap-3">
              <Field
                label="Travelled distance"
                suffix="m"
                type="number"
                min={0}
                step="any"
                value={metres}
                onChange={(e) => setMetres(e.target.value)}
              />
              <Choice
                label="Measured by"
                value={method}
                onChange={(e) => setMethod(e.target.value as DistanceMethod)}
              >
                {DISTANCE_METHODS.map((m) => (
                  <option key={m} value={m}>
                    {m}
                  </option>
                ))}
              </Choice>
              {slip && (
                <p role="alert" className="col-span-2 border-l-4 border-degraded pl-2">
                  {metres} m is a thousand times off the marks beside it: was it another unit?
                </p>
              )}
            </div>
          )}
          <Field
            label="Your name, if you like"
            value={author}
            maxLength={120}
            onChange={(e) => setAuthor(e.target.value)}
          />
          <Field label="Reason" value={reason} maxLength={500} onChange={(e) => setReason(e.target.value)} />
          {error && <Trouble error={error} />}
          <div className="flex gap-2">
            <button className="btn btn-main" disabled={!ready} onClick={() => void correct()}>
              Log the correction
            </button>
            <button className="btn" onClick={onClose}>
              Cancel
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
