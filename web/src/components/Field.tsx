import { useId, type ComponentProps } from 'react';
import { FieldFrame } from './FieldFrame.tsx';
import type { Labelled } from './fieldParts.ts';

const describedBy = (id: string, error?: string, help?: string): string | undefined =>
  [error && `${id}-error`, help && `${id}-help`].filter(Boolean).join(' ') || undefined;

export function Field({
  label,
  error,
  help,
  suffix,
  hideLabel,
  inline,
  className,
  ...input
}: Labelled & Omit<ComponentProps<'input'>, 'className'>) {
  const id = useId();
  return (
    <FieldFrame {...{ id, label, error, help, suffix, hideLabel, inline, className }}>
      <input
        id={id}
        className={`input ${input.type === 'number' || input.inputMode === 'decimal' ? 'figure' : ''}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, error, help)}
        {...input}
      />
    </FieldFrame>
  );
}

export function Choice({
  label,
  error,
  help,
  hideLabel,
  inline,
  className,
  children,
  ...select
}: Labelled & Omit<ComponentProps<'select'>, 'className'>) {
  const id = useId();
  return (
    <FieldFrame {...{ id, label, error, help, hideLabel, inline, className }}>
      <select
        id={id}
        className="input"
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, error, help)}
        {...select}
      >
        {children}
      </select>
    </FieldFrame>
  );
}

/** What can be chosen, where each is called what it is. */
export const Options = ({ of }: { of: readonly (string | number)[] }) =>
  of.map((value) => (
    <option key={value} value={value}>
      {value}
    </option>
  ));

export function Tick({ label, ...input }: { label: string } & ComponentProps<'input'>) {
  return (
    <label className="flex min-h-8 items-center gap-1.5 sm:whitespace-nowrap">
      <input type="checkbox" className="size-4 accent-ink" {...input} />
      {label}
    </label>
  );
}
