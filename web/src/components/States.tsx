import type { ReactNode } from 'react';
import * as phrases from './phrases.ts';

/** Something to wait for. */
export const Loading = ({ what }: { what: string }) => (
  <p role="status" className="p-6 text-faint">
    {phrases.loading(what)}
  </p>
);

/** The same for a view that is still being fetched. */
export const Waiting = () => <Loading what={phrases.theView} />;

/** What happened, what was kept, what to do: the error's own words. */
export const Trouble = ({ error }: { error: Error }) => (
  <p role="alert" className="m-4 border-l-4 border-lost bg-sheet p-3">
    {error.message}
  </p>
);

/** Nothing here yet, and what to do about it. */
export const Empty = ({ title, children }: { title: string; children: ReactNode }) => (
  <div className="sheet p-6">
    <h2>{title}</h2>
    <div className="mt-2 text-faint">{children}</div>
  </div>
);
