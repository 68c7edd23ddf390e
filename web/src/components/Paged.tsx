import { useState, type ReactNode } from 'react';
import * as phrases from './phrases.ts';

/** So many stand on a page of a list; fewer need no pages. */
const PAGE = 100;

/** A long list a page at a time, beginning with the page of the item that matters now. */
export function Paged<T>({
  items,
  at = 0,
  what,
  size = PAGE,
  children,
}: {
  items: readonly T[];
  /** Index of the item to begin with. */
  at?: number;
  /** Of what there are many: "walks". */
  what: string;
  size?: number;
  children: (page: readonly T[]) => ReactNode;
}) {
  const [turned, setTurned] = useState<number>();
  const last = Math.max(0, Math.ceil(items.length / size) - 1);
  const page = Math.min(last, turned ?? Math.floor(Math.max(0, at) / size));
  return (
    <>
      {children(last === 0 ? items : items.slice(page * size, (page + 1) * size))}
      {last > 0 && (
        <p className="flex flex-wrap items-center gap-2 p-2 text-[0.87rem]">
          <button type="button" className="btn" disabled={page === 0} onClick={() => setTurned(page - 1)}>
            {phrases.earlier}
          </button>
          <span role="status">
            {phrases.toOf(page * size + 1, Math.min(items.length, (page + 1) * size), items.length, what)}
          </span>
          <button type="button" className="btn" disabled={page === last} onClick={() => setTurned(page + 1)}>
            {phrases.later}
          </button>
        </p>
      )}
    </>
  );
}
