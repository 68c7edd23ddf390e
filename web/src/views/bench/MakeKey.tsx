import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { DeviceRole } from '@urvek/contract';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import { MAY } from './deviceRoles.ts';
import * as phrases from './phrases.ts';

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
    <section className="sheet grid content-start gap-2 p-4" aria-label={phrases.aKeyForAProgram}>
      <h2>{phrases.aKeyForAProgram}</h2>
      <p className="text-[0.87rem] text-faint">{phrases.aReceiverAMeterOrA}</p>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <Field
          className="w-52"
          label={phrases.whatItIsCalled}
          maxLength={60}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Choice
          className="w-56"
          label={phrases.itMay}
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
          {phrases.makeAKey}
        </button>
      </form>
      {make.error && <Trouble error={make.error} />}
      {make.data && (
        <p role="status" className="border-l-4 border-accent pl-3">
          <strong>{phrases.copyItNowItIsNot}</strong>
          <code className="figure block text-base break-all" data-program-key>
            {make.data.key}
          </code>
          <span className="text-[0.87rem] text-faint">{phrases.sentInTheHeaderXUrvek}</span>
        </p>
      )}
    </section>
  );
}
