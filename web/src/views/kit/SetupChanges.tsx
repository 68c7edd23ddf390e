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

/** So many of a change's things are named. */
const NAMED = 6;

function whatText(what: readonly string[]): string {
  const more = what.length - NAMED;
  return what.length === 0
    ? 'as it is first kept'
    : [...what.slice(0, NAMED), ...(more > 0 ? [`and ${more} more`] : [])].join('; ');
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
            text: `As it was after change ${of.revision}`,
            undo: () => mutate({ title, question, setup, revision: saved.revision }),
          }),
      },
    );
  };
  return (
    <Stage title="History" lead="Who changed kit, paths and plan, when, and what. Logs of walks only grow.">
      {error && <Trouble error={error} />}
      {(refused ?? failed) && <Trouble error={(refused ?? failed) as Error} />}
      {!data && !error && <Loading what="the history" />}
      {data?.length === 0 && <Empty title="Nothing is kept yet">The next change is.</Empty>}
      {data && data.length > 0 && (
        <table className="sheet w-full text-base" aria-label="Changes of the set-up, the newest first">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th scope="col" className="w-20 px-2 text-right">
                Change
              </th>
              <th scope="col" className="pl-4">
                When
              </th>
              <th scope="col">Who</th>
              <th scope="col">What</th>
              <th scope="col">
                <span className="sr-only">Bring back</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.map((r) => (
              <tr key={r.revision} className="border-b border-rule align-top">
                <td className="figure px-2 text-right">{r.revision}</td>
                <td className="figure w-48 pl-4 whitespace-nowrap">{format(r.atMs, 'd MMM yyyy, HH:mm')}</td>
                <td className="w-40">{r.who ?? 'not kept'}</td>
                <td>{whatText(r.what)}</td>
                <td className="text-right">
                  {r.revision !== revision && (
                    <button
                      type="button"
                      className="btn btn-quiet min-h-8 py-0"
                      disabled={isPending}
                      onClick={() => void bringBack(r).catch(setFailed)}
                    >
                      Bring back change {r.revision}
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
