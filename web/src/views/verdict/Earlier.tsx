import { useState } from 'react';
import { base } from '../../api/client.ts';
import { useComparisons } from '../../api/queries.ts';
import { useStudy } from '../../api/study.ts';
import { Choice } from '../../components/Field.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Loading, Trouble } from '../../components/States.tsx';
import { RatioLine } from '../ranges/RatioLine.tsx';
import * as phrases from './phrases.ts';

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
    <section className="sheet p-4" aria-label={phrases.againstAnEarlierComparison}>
      <Choice
        className="max-w-xl"
        label={phrases.earlierComparison}
        value={earlierId}
        onChange={(e) => setEarlierId(e.target.value)}
      >
        <option value="">{phrases.chooseOne}</option>
        {all
          ?.filter((c) => c.id !== workspace.id)
          .map((c) => (
            <option key={c.id} value={c.id}>
              {c.title}
            </option>
          ))}
      </Choice>
      <p className="mt-1 text-[0.87rem] text-faint">{phrases.productsAndPathsAreMatchedBy}</p>
      {error && <Trouble error={error} />}
      {isFetching && <Loading what={phrases.theEarlierComparison} />}
      {rows?.length === 0 && <p className="mt-2">{phrases.noProductWasWalkedOnA}</p>}
      <ul className="mt-2 grid gap-1">
        {rows?.map((r) => (
          <li
            key={`${r.product}-${r.against}-${r.path}`}
            data-earlier={r.fromMemory === undefined ? 'compared' : 'from memory'}
          >
            <strong>
              {phrases.on(r.product, r.against === r.product ? '' : phrases.againstThen(r.against), r.path)}
            </strong>{' '}
            ({r.criterion}):{' '}
            {r.ratio ? (
              <RatioLine ratio={r.ratio} />
            ) : (
              <>
                <em>{phrases.fromMemory}</em>: {r.fromMemory}.
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
