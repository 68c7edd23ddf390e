import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import {
  DISTANCE_METHODS,
  GRADES,
  looksMisread,
  type Correction,
  type DistanceMethod,
  type Grade,
  type WalkEvent,
} from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Choice, Field } from '../../components/Field.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { eventText } from '../../state/eventText.ts';

/** A correction is an event of its own, with its reason; what it amends stays in the log. */
export function CorrectionDialog({
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
