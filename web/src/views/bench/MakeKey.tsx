import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { DeviceRole } from '@urvek/contract';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import { MAY } from './deviceRoles.ts';

/** A key for a program that hands logs in or takes findings out; shown once. */
export function MakeKey() {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [role, setRole] = useState<DeviceRole>('logger');
  const make = useMutation({
    mutationFn: () => base.makeKey(name.trim(), role),
    onSuccess: () => {
      setName('');
      void client.invalidateQueries({ queryKey: ['lan'] });
    },
  });
  return (
    <section className="sheet grid content-start gap-2 p-4" aria-label="A key for a program">
      <h2>A key for a program</h2>
      <p className="text-[0.87rem] text-faint">
        A receiver, a meter or a script logs and reads over HTTP by a key of its own, which can be revoked.
        How is told in docs/gear.md and docs/openapi.json.
      </p>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <Field
          className="w-52"
          label="What it is called"
          maxLength={60}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Choice
          className="w-56"
          label="It may"
          value={role}
          onChange={(e) => setRole(e.target.value as DeviceRole)}
        >
          {Object.entries(MAY).map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </Choice>
        <button className="btn" disabled={name.trim() === '' || make.isPending}>
          Make a key
        </button>
      </form>
      {make.error && <Trouble error={make.error} />}
      {make.data && (
        <p role="status" className="border-l-4 border-accent pl-3">
          <strong>Copy it now: it is not shown again.</strong>
          <code className="figure block text-base break-all" data-program-key>
            {make.data.key}
          </code>
          <span className="text-[0.87rem] text-faint">Sent in the header X-Urvek-Key.</span>
        </p>
      )}
    </section>
  );
}
