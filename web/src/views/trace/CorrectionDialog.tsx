import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import {
  GRADES,
  placedNames,
  type Correction,
  type DistanceReading,
  type Grade,
  type WalkEvent,
} from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { PlaceInput, readPlace, type TypedPlace } from '../../components/PlaceInput.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { eventText } from '../../state/eventText.ts';
import { BegunFields } from './BegunFields.tsx';

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
  const [action, setAction] = useState<Correction['action']>(event.kind === 'begin' ? 'restate' : 'withdraw');
  const [walkS, setWalkS] = useState(event.time.walkS.toFixed(1));
  const [grade, setGrade] = useState<Grade>(event.kind === 'grade' ? event.body.grade : 5);
  const placed = event.kind === 'mark' || event.kind === 'begin';
  const mark = placed ? event.body.reading : undefined;
  const [place, setPlace] = useState<TypedPlace>({
    text: mark ? String(mark.travelledM) : '',
    method: mark?.method ?? 'marked line',
  });
  const [begun, setBegun] = useState(event.kind === 'begin' ? event.body : undefined);
  const [author, setAuthor] = useState('');
  const [reason, setReason] = useState('');
  const beside = finding.trace.fixes
    .filter((f) => Math.abs(f.atS - event.time.walkS) > 0.05)
    .sort((a, b) => Math.abs(a.atS - event.time.walkS) - Math.abs(b.atS - event.time.walkS))
    .slice(0, 2)
    .map((f) => f.travelledM);
  const points = placedNames(finding.path);
  const read = readPlace(place, beside, points);
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
          ? { reading: { ...(read.reading as DistanceReading), pressed: mark?.pressed ?? true } }
          : {}),
        ...(action === 'restate' && begun ? { begun } : {}),
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
    (action !== 'remeasure' || read.reading !== undefined);
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
            {event.kind !== 'begin' && <option value="withdraw">it did not happen: withdraw it</option>}
            <option value="move">it happened at another time</option>
            {event.kind === 'grade' && <option value="regrade">it was another grade</option>}
            {placed && <option value="remeasure">it was at another distance, or measured otherwise</option>}
            {event.kind === 'begin' && <option value="restate">it was begun otherwise</option>}
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
              <Options of={GRADES} />
            </Choice>
          )}
          {action === 'remeasure' && (
            <PlaceInput
              label="Travelled distance"
              value={place}
              onChange={setPlace}
              neighboursM={beside}
              points={points}
            />
          )}
          {action === 'restate' && begun && <BegunFields begun={begun} onChange={setBegun} />}
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
