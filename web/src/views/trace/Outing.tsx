import type { Finding, WalkRow } from '@urvek/study';
import { useId, useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { useWriting } from './useWriting.ts';
import * as phrases from './phrases.ts';

/** From setting a rig up to taking it down: its walks share that day and that set-up. Seen here, and corrected. */
export function Outing({ finding, walks }: { finding: Finding; walks: readonly WalkRow[] }) {
  const now = finding.outing;
  const [name, setName] = useState('');
  const list = useId();
  const { write } = useWriting(finding);
  const known = [...new Set(walks.flatMap((w) => w.outing ?? []))];
  const put = (): void => {
    void write('outing', { name: name.trim() }, phrases.putToTheOuting(name.trim()));
    setName('');
  };
  return (
    <section className="py-1" aria-label={phrases.outing}>
      <h2>{phrases.outing}</h2>
      <p className="mt-1">
        {now === undefined ? phrases.notStatedWhatItSharesWith : <>{phrases.itBelongsTo(now)}</>}{' '}
        <span className="text-faint">{phrases.fromSettingARigUpTo}</span>
      </p>
      <form
        className="mt-1 flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (name.trim()) put();
        }}
      >
        <Field
          className="w-48"
          label={phrases.itBelongsTo2}
          placeholder={phrases.secondSetUp}
          list={list}
          maxLength={60}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <datalist id={list}>
          {known.map((outing) => (
            <option key={outing} value={outing} />
          ))}
        </datalist>
        <button className="btn" disabled={!name.trim()}>
          {phrases.putItThere}
        </button>
      </form>
    </section>
  );
}
