import { useId, type ComponentProps, type ReactNode } from 'react';

interface Labelled {
  readonly label: string;
  readonly error?: string;
  /** What it means, for who does not know the word. */
  readonly help?: string;
  readonly suffix?: string;
  readonly hideLabel?: boolean;
  /** The label stands before the field instead of above it. */
  readonly inline?: boolean;
  readonly className?: string;
}

function Frame({
  id,
  label,
  error,
  help,
  suffix,
  hideLabel,
  inline,
  className,
  children,
}: Labelled & { id: string; children: ReactNode }) {
  return (
    <div className={inline ? `flex items-center gap-2 ${className ?? ''}` : className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-[0.87rem] text-faint'}>
        {label}
        {suffix && <span className="sr-only"> in {suffix}</span>}
      </label>
      <div className={`flex items-center gap-1.5 ${inline ? 'flex-1' : ''}`}>
        {children}
        {suffix && (
          <span aria-hidden className="text-faint text-[0.87rem] whitespace-nowrap">
            {suffix}
          </span>
        )}
      </div>
      {help && (
        <p id={`${id}-help`} className="text-[0.87rem] text-faint">
          {help}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className="text-lost text-[0.87rem] font-bold">
          {error}
        </p>
      )}
    </div>
  );
}

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
    <Frame {...{ id, label, error, help, suffix, hideLabel, inline, className }}>
      <input
        id={id}
        className={`input ${input.type === 'number' || input.inputMode === 'decimal' ? 'figure' : ''}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, error, help)}
        {...input}
      />
    </Frame>
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
    <Frame {...{ id, label, error, help, hideLabel, inline, className }}>
      <select
        id={id}
        className="input"
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, error, help)}
        {...select}
      >
        {children}
      </select>
    </Frame>
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
