import type { ReactNode } from 'react';
import { Heading } from './Heading.tsx';

/** A stage of a comparison: its head, and the view once the workspace is there. */
export function Stage({
  title,
  lead,
  actions,
  children,
}: {
  title: string;
  lead?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <main id="work" className="mx-auto w-full max-w-[1240px] px-4 py-2.5">
      <div className="mb-2 flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="flex min-w-[min(100%,18rem)] flex-1 flex-wrap items-baseline gap-x-3">
          <Heading title={title}>{title}</Heading>
          {lead && <p className="max-w-[80ch] text-faint">{lead}</p>}
        </div>
        {actions && <div className="no-print flex flex-wrap gap-2">{actions}</div>}
      </div>
      {children}
    </main>
  );
}
