import { useState } from 'react';
import { base } from '../../api/client.ts';
import { useComparisons } from '../../api/queries.ts';
import { useStudy } from '../../api/study.ts';
import { Choice } from '../../components/Field.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Loading, Trouble } from '../../components/States.tsx';
import { RatioLine } from '../ranges/RatioLine.tsx';

/** The same product, path and points in an earlier comparison: a ratio, or a memory. */
export function Earlier({ workspace }: { workspace: Ready }) {
  const { data: all } = useComparisons();
  const [earlierId, setEarlierId] = useState('');
  const {
    data: rows,
    error,
    isFetching,
  } = useStudy(
    workspace,
    ['earlier', earlierId],
    async (study, of) => study.earlier(of, await base.comparison(earlierId)),
    earlierId !== '',
  );
  return (
    <section className="sheet p-4" aria-label="Against an earlier comparison">
      <Choice
        className="max-w-xl"
        label="Earlier comparison"
        value={earlierId}
        onChange={(e) => setEarlierId(e.target.value)}
      >
        <option value="">choose one</option>
        {all
          ?.filter((c) => c.id !== workspace.id)
          .map((c) => (
            <option key={c.id} value={c.id}>
              {c.title}
            </option>
          ))}
      </Choice>
      <p className="mt-1 text-[0.87rem] text-faint">
        Products and paths are matched by name. Compared are only walks over the same points by the same
        criterion; anything else is from memory.
      </p>
      {error && <Trouble error={error} />}
      {isFetching && <Loading what="the earlier comparison" />}
      {rows?.length === 0 && (
        <p className="mt-2">No product was walked on a path of the same name in both.</p>
      )}
      <ul className="mt-2 grid gap-1">
        {rows?.map((r) => (
          <li
            key={`${r.product}-${r.against}-${r.path}`}
            data-earlier={r.fromMemory === undefined ? 'compared' : 'from memory'}
          >
            <strong>
              {r.product}
              {r.against === r.product ? '' : ` against ${r.against} then`} on {r.path}
            </strong>{' '}
            ({r.criterion}):{' '}
            {r.ratio ? (
              <RatioLine ratio={r.ratio} />
            ) : (
              <>
                <em>from memory</em>: {r.fromMemory}.
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
