import { type Entry, type MeasuredFile, type WalkEvent, measuredTrouble } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { FormDialog } from '../../components/FormDialog.tsx';
import { Trouble } from '../../components/States.tsx';
import { bodyOf, stepsOf, type PlacedReading } from './fileReadings.ts';
import { PlacedBy } from './PlacedBy.tsx';
import { ReadingsPreview } from './ReadingsPreview.tsx';
import { useWriting } from './useWriting.ts';
import { NO_WHY, WhyFields } from './WhyFields.tsx';
import * as phrases from './phrases.ts';

const LIMIT_BYTES = 20_000_000;
/** An entry stands just after the one that it belongs to, s. */
const AFTER_S = 0.01;

/** Readings of another tool, taken into the log: at one stand, or each at its time. */
export function AddReadings({
  finding,
  log,
  onClose,
}: {
  finding: Finding;
  /** As it stands, in order. */
  log: readonly WalkEvent[];
  onClose: () => void;
}) {
  const { trace, header } = finding;
  const [file, setFile] = useState<{ readonly name: string; readonly read: MeasuredFile }>();
  const [end, setEnd] = useState<'mobile' | 'fixed'>('mobile');
  const [after, setAfter] = useState(0);
  const [offset, setOffset] = useState('0');
  const [why, setWhy] = useState(NO_WHY);
  const [error, setError] = useState<Error>();
  const { addAll } = useWriting(finding);
  const stands = log.filter((e) => e.kind === 'begin' || e.kind === 'mark');
  const timed = file?.read.startedMs !== undefined && !header.undated && trace.begin.body.untimed !== true;
  const [byClock, setByClock] = useState(false);
  const clocked = timed && byClock;
  const asked = Number(offset);
  const behind = stands[after];
  const all: PlacedReading[] = !file
    ? []
    : clocked
      ? stepsOf(file.read).map((s) => ({
          walkS:
            ((file.read.startedMs ?? 0) - trace.begin.time.wallMs) / 1000 +
            asked +
            s.toS +
            trace.begin.time.walkS,
          body: bodyOf(s, file.read, end, true, trace.direction),
        }))
      : file.read.whole.map((s) => ({
          walkS: (behind?.time.walkS ?? trace.endS) + AFTER_S,
          body: bodyOf(s, file.read, end, false, trace.direction),
        }));
  const inside = all.filter(
    ({ walkS, body }) =>
      walkS >= trace.begin.time.walkS && walkS <= trace.endS && measuredTrouble(body) === undefined,
  );
  const ready = inside.length > 0 && Number.isFinite(asked) && why.reason.trim() !== '';
  const save = async (): Promise<void> => {
    if (!file) return;
    const notes = file.read.notes.join('; ');
    const entries: { entry: Entry; walkS: number }[] = inside.map(({ walkS, body }) => ({
      entry: { kind: 'measured', body },
      walkS,
    }));
    const [first] = inside;
    if (first && notes !== '')
      entries.push({
        entry: { kind: 'note', body: { text: `${file.name}: ${notes}`.slice(0, 1000) } },
        walkS: first.walkS,
      });
    try {
      await addAll(entries, why, phrases.readingsOfAdded(inside.length, file.name));
      onClose();
    } catch (cause) {
      setError(cause as Error);
    }
  };
  return (
    <FormDialog title={phrases.readingsFromAFile} said={phrases.whatIperf3JWroteOrWhat} onClose={onClose}>
      <FilePick
        kind="measured"
        label={phrases.chooseTheFile}
        hint={phrases.outputOfIperf3AsJsonOr}
        accept=".json,.txt,.log,application/json,text/plain"
        limitBytes={LIMIT_BYTES}
        kept={phrases.theLogIsAsItWas}
        take={(read, name) => setFile({ read, name })}
      />
      {file && (
        <>
          <p>
            <strong>{file.name}</strong>: {file.read.instrument}, {file.read.seconds.toFixed(0)} s
            {file.read.notes.length > 0 && `; ${file.read.notes.join('; ')}`}.
          </p>
          <Choice
            label={phrases.itWasRunAtThe}
            value={end}
            onChange={(e) => setEnd(e.target.value as 'mobile' | 'fixed')}
          >
            <option value="mobile">{phrases.mobileEnd}</option>
            <option value="fixed">{phrases.fixedEnd}</option>
          </Choice>
          <PlacedBy
            {...{ timed, byClock, offset, stands, after }}
            onByClock={setByClock}
            onOffset={setOffset}
            onAfter={setAfter}
          />
          <ReadingsPreview
            inside={inside}
            outside={all.length - inside.length}
            byPing={file.read.instrument === 'ping'}
          />
          <WhyFields why={why} onChange={setWhy} example={phrases.measuredBesideTheWalk} />
        </>
      )}
      {error && <Trouble error={error} />}
      <div className="flex gap-2">
        <button className="btn btn-main" disabled={!ready} onClick={() => void save()}>
          {phrases.add(inside.length === 0 ? phrases.them : inside.length)}
        </button>
        <button className="btn" onClick={onClose}>
          {phrases.cancel}
        </button>
      </div>
    </FormDialog>
  );
}
