import type { WalkRow } from '@urvek/study';
import { Link } from 'react-router';
import { Paged } from '../../components/Paged.tsx';

export function WalkList({ id, walks, current }: { id: string; walks: readonly WalkRow[]; current: string }) {
  return (
    <nav aria-label="Walks" className="sheet h-fit">
      <Paged items={walks} at={walks.findIndex((w) => w.walkId === current)} what="walks">
        {(page) => (
          <ol>
            {page.map((f) => (
              <li key={f.walkId}>
                <Link
                  to={`/c/${id}/trace/${f.walkId}`}
                  aria-current={f.walkId === current ? 'page' : undefined}
                  className={`block border-b border-rule px-3 py-1.5 hover:bg-white ${f.walkId === current ? 'bg-white font-bold shadow-[inset_5px_0_0_var(--color-accent)]' : ''}`}
                >
                  <span className={f.leftOut === undefined ? '' : 'line-through'}>
                    {f.product} <span className="figure">{f.label}</span>
                  </span>
                  <span className="block text-[0.8rem] font-normal text-faint">
                    {f.path}, {f.leftOut === undefined ? (f.endReason ?? 'under way') : 'left out'}
                  </span>
                </Link>
              </li>
            ))}
          </ol>
        )}
      </Paged>
    </nav>
  );
}
