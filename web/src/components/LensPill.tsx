import { useId, type ReactNode } from 'react';

/** One choice of the lens: what it is set to, and what else there is. */
export function LensPill({
  label,
  title,
  value,
  onChange,
  children,
}: {
  label: string;
  title?: string;
  value: string | undefined;
  onChange: (value: string | undefined) => void;
  children: ReactNode;
}) {
  const id = useId();
  return (
    <span className="flex items-center gap-1.5 text-[0.87rem] text-faint" title={title}>
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className="pill"
        value={value ?? ''}
        onChange={(e) => onChange(e.target.value === '' ? undefined : e.target.value)}
      >
        {children}
      </select>
    </span>
  );
}
