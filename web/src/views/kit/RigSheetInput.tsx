import type { RigSettings } from '@urvek/core';
import { asFigure, asMetres } from '../../components/figures.ts';
import type { SetupForm } from './form.ts';
import { isText } from './settings.ts';
import * as phrases from './phrases.ts';

/** A setting while it is edited in its cell. */
export const RigSheetInput = ({
  form,
  name,
  field,
  suffix,
  open,
  invalid,
}: {
  form: SetupForm;
  name: `products.${number}.rigs.${number}.${keyof RigSettings}`;
  field: keyof RigSettings;
  suffix: string | undefined;
  open: boolean;
  invalid: boolean;
}) => (
  <input
    className="min-h-8 w-full min-w-28 bg-transparent px-2 focus:bg-white"
    placeholder={open ? phrases.notStated2 : ''}
    aria-invalid={invalid}
    inputMode={isText(field) || suffix === 'm' ? undefined : 'decimal'}
    {...form.register(name, isText(field) ? {} : suffix === 'm' ? asMetres : asFigure)}
  />
);
