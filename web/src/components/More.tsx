import type { ReactNode } from 'react';

/** Fields that are rarely needed fold away; `open` where one of them has an error, which must be seen. */
export const More = ({
  what,
  open = false,
  className = 'mt-2',
  children,
}: {
  what: string;
  open?: boolean;
  className?: string;
  children: ReactNode;
}) => (
  <details className={className} open={open}>
    <summary className="min-h-6 cursor-pointer text-[0.87rem] text-faint">{what}</summary>
    <div className="mt-2">{children}</div>
  </details>
);
