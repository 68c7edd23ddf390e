import { outingOf, type Finding, type WalkRow } from '@urvek/study';
import { useId, useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';

/** From setting a rig up to taking it down: its walks share that day and that set-up. Seen here, and corrected. */
export function Outing({ finding, walks }: { finding: Finding; walks: readonly WalkRow[] }) {
  const now = outingOf(finding);
  const [name, setName] = useState('');
  const list = useId();
  const notice = useNotice();
  const { endS, begin } = finding.trace;
  const at = () => eventTime(endS, begin.time.rate);
  const known = [...new Set(walks.flatMap((w) => w.outing ?? []))];
  const put = async (): Promise<void> => {
    await fieldLog.adopt(finding.header, 0);
    const { deviceId, seq } = await fieldLog.append(finding.walkId, 'outing', { name: name.trim() }, at());
    void sync();
    setName('');
    notice({
      text: `Put to the outing “${name.trim()}”`,
      undo: () =>
        void fieldLog
          .append(
            finding.walkId,
            'correction',
            { amends: { deviceId, seq }, action: 'withdraw', reason: 'undone' },
            at(),
          )
          .then(sync),
    });
  };
  return (
    <section className="sheet p-3" aria-label="Outing">
      <h2>Outing</h2>
      <p className="mt-1">
        {now === undefined ? 'Not stated: it counts as an outing of its own.' : <>Walked on “{now}”.</>}{' '}
        <span className="text-faint">
          From setting a rig up to taking it down; walks of one share that day and that set-up.
        </span>
      </p>
      <form
        className="mt-1 flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (name.trim()) void put();
        }}
      >
        <Field
          className="w-48"
          label="It belongs to"
          placeholder="afternoon, second set-up"
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
