import { walkBand } from '@urvek/draw';
import type { Study, WalkRow } from '@urvek/study';
import { Fragment, useEffect, useMemo, useRef, type KeyboardEvent } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { Paged } from '../../components/Paged.tsx';
import { Picture } from '../../components/Picture.tsx';
import * as phrases from './phrases.ts';

const BAND_PX = 196;
/** So many walks are drawn at a time. */
const PAGE = 100;

/** The walks, path by path, each with its bands; arrow keys go from one to the next. */
export function WalkList({
  id,
  walks,
  bands,
  current,
}: {
  id: string;
  walks: readonly WalkRow[];
  /** By the walk's id; empty until they are there. */
  bands: Study['bands'];
  current: string;
}) {
  const navigate = useNavigate();
  const { search } = useLocation();
  const list = useRef<HTMLElement>(null);
  const grouped = useMemo(() => {
    const paths = [...new Set(walks.map((w) => w.path))];
    return paths.flatMap((path) => walks.filter((w) => w.path === path));
  }, [walks]);
  // The list alone moves, and only where its walk would not be seen.
  useEffect(() => {
    const box = list.current;
    const walk = box?.querySelector(`[data-walk="${current}"]`);
    if (!box || !walk) return;
    const [seen, of] = [box.getBoundingClientRect(), walk.getBoundingClientRect()];
    if (of.top < seen.top || of.bottom > seen.bottom)
      box.scrollTop += of.top - seen.top - (seen.height - of.height) / 2;
  }, [current]);
  const onKey = (e: KeyboardEvent): void => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
    const to = step && grouped[grouped.findIndex((w) => w.walkId === current) + step];
    if (!to) return;
    e.preventDefault();
    void navigate({ pathname: `/c/${id}/trace/${to.walkId}`, search }, { preventScrollReset: true });
    list.current?.querySelector<HTMLElement>(`[data-walk="${to.walkId}"]`)?.focus();
  };
  return (
    <nav
      ref={list}
      aria-label={phrases.walks}
      className="sheet h-fit max-h-[38vh] overflow-y-auto lg:sticky lg:top-2 lg:max-h-[calc(100vh-1rem)]"
      onKeyDown={onKey}
    >
      <Paged
        items={grouped}
        at={grouped.findIndex((w) => w.walkId === current)}
        what={phrases.walks2}
        size={PAGE}
      >
        {(page) => (
          <ol>
            {page.map((w, i) => (
              <Fragment key={w.walkId}>
                {page[i - 1]?.path !== w.path && (
                  <li className="sticky top-0 z-[5] border-y border-ink bg-paper px-2 text-[0.87rem]">
                    {w.path}
                  </li>
                )}
                <li>
                  <Link
                    data-walk={w.walkId}
                    to={{ pathname: `/c/${id}/trace/${w.walkId}`, search }}
                    aria-current={w.walkId === current ? 'page' : undefined}
                    className={
                      'block border-b border-rule px-2 pt-0.5 hover:bg-white focus-visible:-outline-offset-3 ' +
                      `${w.walkId === current ? 'bg-white font-bold shadow-[inset_5px_0_0_var(--color-accent)]' : ''}`
                    }
                  >
                    <span className="flex gap-2">
                      <span className={`flex-1 truncate ${w.leftOut === undefined ? '' : 'line-through'}`}>
                        {w.product} <span className="figure">{w.label}</span>
                      </span>
                      <span className="text-[0.87rem] font-normal text-faint">
                        {w.leftOut !== undefined
                          ? phrases.leftOut
                          : w.endReason === undefined
                            ? phrases.underWay
                            : ''}
                      </span>
                    </span>
                    <Picture
                      scene={walkBand(w, bands[w.walkId] ?? [], BAND_PX)}
                      className="block"
                      style={{ width: BAND_PX }}
                      aria-hidden
                    />
                  </Link>
                </li>
              </Fragment>
            ))}
          </ol>
        )}
      </Paged>
    </nav>
  );
}
