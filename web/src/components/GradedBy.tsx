import { useQuery } from '@tanstack/react-query';
import { useId } from 'react';
import { graders } from '../field/graders.ts';
import { Field } from './Field.tsx';
import * as phrases from './phrases.ts';

/** Signs of a name. */
const LONGEST = 60;

/** Who judges by ear or eye. Whoever graded clips on this device is offered: what was learned of them goes along. */
export function GradedBy({ name, onChange }: { name: string; onChange: (name: string) => void }) {
  const people = useId();
  const { data: known = [] } = useQuery({
    queryKey: ['graders'],
    queryFn: async () => [...new Set((await graders()).map((g) => g.person))],
  });
  return (
    <>
      <Field
        label={phrases.gradedBy}
        placeholder={phrases.notStated}
        list={people}
        maxLength={LONGEST}
        value={name}
        onChange={(e) => onChange(e.target.value)}
      />
      <datalist id={people}>
        {known.map((person) => (
          <option key={person} value={person} />
        ))}
      </datalist>
    </>
  );
}
