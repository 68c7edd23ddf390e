import type { ReactNode } from 'react';
import type { Labelled } from './fieldParts.ts';
import * as phrases from './phrases.ts';

/** Label, help and error around an input. */
export function FieldFrame({
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
        {suffix && <span className="sr-only">{phrases.inText(suffix)}</span>}
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
