import { pathLengthM } from '@urvek/core';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { metresOf } from '../../components/figures.ts';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

/** More than are ever walked past. */
const MOST = 500;

/** Lays checkpoints out along the whole path, in place of those that are there. */
export function LayOut({ form, index }: { form: SetupForm; index: number }) {
  const [every, setEvery] = useState('20');
  const everyM = metresOf(every) ?? 0;
  const layOut = (): void => {
    const count = Math.min(MOST, Math.floor(pathLengthM(form.getValues(`paths.${index}`)) / everyM));
    form.setValue(
      `paths.${index}.checkpoints`,
      Array.from({ length: count }, (_, i) => ({ name: phrases.post(i + 1), atM: everyM * (i + 1) })),
      { shouldDirty: true },
    );
  };
  return (
    <span className="ml-auto flex items-center gap-2">
      <Field
        inline
        label={phrases.oneEvery}
        suffix="m"
        value={every}
        onChange={(e) => setEvery(e.target.value)}
        className="w-40"
      />
      <button type="button" className="btn min-h-8 py-0" disabled={!(everyM > 0)} onClick={layOut}>
        {phrases.placeCheckpoints}
      </button>
    </span>
  );
}
