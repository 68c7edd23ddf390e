import { useQuery } from '@tanstack/react-query';
import type { Revision } from '@urvek/contract';
import { format } from 'date-fns';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { useSaveComparison } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import * as phrases from './phrases.ts';

/** So many of a change's things are named. */
const NAMED = 6;

function whatText(what: readonly string[]): string {
  const more = what.length - NAMED;
  return what.length === 0
    ? phrases.asItIsFirstKept
    : [...what.slice(0, NAMED), ...(more > 0 ? [phrases.andMore(more)] : [])].join('; ');
}

/** Who changed kit, paths and plan, when and what; each of them can be brought back. */
export function SetupChanges({ comparison }: Ready) {
  const { id, title, question, setup, revision } = comparison;
  const { data, error } = useQuery({
    queryKey: ['revisions', id, revision],
    queryFn: () => base.revisions(id),
  });
  const { mutate, error: refused, isPending } = useSaveComparison(id);
  const notice = useNotice();
  const [failed, setFailed] = useState<Error>();
  const bringBack = async (of: Revision): Promise<void> => {
    const was = await base.revision(id, of.revision);
    mutate(
      { title: was.title, question: was.question, setup: was.setup, revision },
      {
        onSuccess: (saved) =>
          notice({
            text: phrases.asItWasAfterChange(of.revision),
            undo: () => mutate({ title, question, setup, revision: saved.revision }),
          }),
      },
    );
  };
  return (
    <Stage title={phrases.history} lead={phrases.whoChangedKitPathsAndPlan}>
      {error && <Trouble error={error} />}
      {(refused ?? failed) && <Trouble error={(refused ?? failed) as Error} />}
      {!data && !error && <Loading what={phrases.theHistory} />}
      {data?.length === 0 && <Empty title={phrases.nothingIsKeptYet}>{phrases.theNextChangeIs}</Empty>}
      {data && data.length > 0 && (
        <table className="sheet w-full text-base" aria-label={phrases.changesOfTheSetUpThe}>
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th scope="col" className="w-20 px-2 text-right">
                {phrases.change}
              </th>
              <th scope="col" className="pl-4">
                {phrases.when}
              </th>
              <th scope="col">{phrases.who}</th>
              <th scope="col">{phrases.what}</th>
              <th scope="col">
                <span className="sr-only">{phrases.bringBack}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.map((r) => (
              <tr key={r.revision} className="border-b border-rule align-top">
                <td className="figure px-2 text-right">{r.revision}</td>
                <td className="figure w-48 pl-4 whitespace-nowrap">{format(r.atMs, 'd MMM yyyy, HH:mm')}</td>
                <td className="w-40">{r.who ?? phrases.notKept}</td>
                <td>{whatText(r.what)}</td>
                <td className="text-right">
                  {r.revision !== revision && (
                    <button
                      type="button"
                      className="btn btn-quiet min-h-8 py-0"
                      disabled={isPending}
                      onClick={() => void bringBack(r).catch(setFailed)}
                    >
                      {phrases.bringBackChange(r.revision)}
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Stage>
  );
}
