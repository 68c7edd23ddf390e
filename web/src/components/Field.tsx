import { useId, type ComponentProps, type ReactNode } from 'react';

interface Labelled {
  readonly label: string;
  readonly error?: string;
  readonly suffix?: string;
  readonly hideLabel?: boolean;
  readonly className?: string;
}

function Frame({
  id,
  label,
  error,
  suffix,
  hideLabel,
  className,
  children,
}: Labelled & { id: string; children: ReactNode }) {
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-[0.85rem] text-faint'}>
        {label}
        {suffix && <span className="sr-only"> in {suffix}</span>}
      </label>
      <div className="flex items-center gap-1.5">
        {children}
        {suffix && (
          <span aria-hidden className="text-faint text-[0.85rem] whitespace-nowrap">
            {suffix}
          </span>
        )}
      </div>
      {error && (
        <p id={`${id}-error`} role="alert" className="text-lost text-[0.85rem] font-bold">
          {error}
        </p>
      )}
    </div>
  );
}

export function Field({
  label,
  error,
  suffix,
  hideLabel,
  className,
  ...input
}: Labelled & Omit<ComponentProps<'input'>, 'className'>) {
  const id = useId();
  return (
    <Frame {...{ id, label, error, suffix, hideLabel, className }}>
      <input
        id={id}
        className={`input ${input.type === 'number' || input.inputMode === 'decimal' ? 'figure' : ''}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        {...input}
      />
    </Frame>
  );
}

export function Choice({
  label,
  error,
  hideLabel,
  className,
  children,
  ...select
}: Labelled & Omit<ComponentProps<'select'>, 'className'>) {
  const id = useId();
  return (
    <Frame {...{ id, label, error, hideLabel, className }}>
      <select id={id} className="input" {...select}>
        {children}
      </select>
    </Frame>
  );
}

export function Tick({ label, ...input }: { label: string } & ComponentProps<'input'>) {
  return (
    <label className="flex min-h-8 items-center gap-1.5 whitespace-nowrap">
      <input type="checkbox" className="size-4 accent-ink" {...input} />
      {label}
    </label>
  );
}
