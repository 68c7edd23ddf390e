import { SLAB_MATERIALS } from '@urvek/core';
import type { ComponentProps } from 'react';
import { Choice, Options } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

const MATERIALS = Object.keys(SLAB_MATERIALS);

/** What a wall is of. */
export const MaterialChoice = (choice: Omit<ComponentProps<typeof Choice>, 'label' | 'children'>) => (
  <Choice label={phrases.material} className="w-36" {...choice}>
    <Options of={MATERIALS} />
  </Choice>
);
