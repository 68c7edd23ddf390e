import type { ReactNode } from 'react';

export function Rows({ title, add, children }: { title: string; add: ReactNode; children: ReactNode }) {
  return (
    <fieldset>
      <div className="flex items-center border-b border-ink">
        <legend className="float-left flex-1 font-bold">{title}</legend>
        {add}
      </div>
      <div className="mt-1 grid gap-1">{children}</div>
    </fieldset>
  );
}
