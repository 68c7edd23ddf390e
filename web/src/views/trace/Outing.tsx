import type { Finding, WalkRow } from '@urvek/study';
import { useId, useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { useWriting } from './useWriting.ts';

/** From setting a rig up to taking it down: its walks share that day and that set-up. Seen here, and corrected. */
export function Outing({ finding, walks }: { finding: Finding; walks: readonly WalkRow[] }) {
  const now = finding.outing;
  const [name, setName] = useState('');
  const list = useId();
  const { write } = useWriting(finding);
  const known = [...new Set(walks.flatMap((w) => w.outing ?? []))];
  const put = (): void => {
    void write('outing', { name: name.trim() }, `Put to the outing “${name.trim()}”`);
    setName('');
  };
  return (
    <section className="py-1" aria-label="Outing">
      <h2>Outing</h2>
      <p className="mt-1">
        {now === undefined ? (
          'Not stated: what it shares with others is not known.'
        ) : (
          <>It belongs to “{now}”.</>
        )}{' '}
        <span className="text-faint">
          From setting a rig up to taking it down; walks of one share that day and that set-up. Unless it is
          said, a night between two walks parts them.
        </span>
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
          label="It belongs to"
          placeholder="second set-up"
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
          Put it there
        </button>
      </form>
    </section>
  );
}
