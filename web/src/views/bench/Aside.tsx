import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ComparisonSummary } from '@urvek/contract';
import { format } from 'date-fns';
import { useId, useState, type FormEvent } from 'react';
import { base } from '../../api/client.ts';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import * as phrases from './phrases.ts';

const useAside = () => {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, reason }: { id: string; reason?: string }) => base.setAside(id, reason),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['comparisons'] }),
  });
};

/** Hides a comparison, with a reason. */
export function SetComparisonAside({ comparison: { id, title } }: { comparison: ComparisonSummary }) {
  const [reason, setReason] = useState('');
  const field = useId();
  const aside = useAside();
  const tell = useNotice();
  const submit = (e: FormEvent): void => {
    e.preventDefault();
    aside.mutate(
      { id, reason },
      {
        onSuccess: () =>
          tell({ text: phrases.isSetAsideNothingOfIt(title), undo: () => aside.mutate({ id }) }),
      },
    );
  };
  return (
    <details className="mt-2">
      <summary className="w-fit cursor-pointer text-[0.87rem] text-faint">{phrases.setAside}</summary>
      <form className="mt-1 flex flex-wrap items-end gap-2" onSubmit={submit}>
        <span className="grid flex-1 text-[0.87rem]">
          <label htmlFor={field}>{phrases.why}</label>
          <input
            id={field}
            className="input"
            value={reason}
            required
            maxLength={500}
            onChange={(e) => setReason(e.target.value)}
          />
        </span>
        <button className="btn">{phrases.setAside}</button>
      </form>
      {aside.error && <Trouble error={aside.error} />}
    </details>
  );
}

/** Comparisons that were set aside: taken back, or removed for good after a backup. */
export function AsideList({ comparisons }: { comparisons: readonly ComparisonSummary[] }) {
  const aside = useAside();
  const client = useQueryClient();
  const tell = useNotice();
  const remove = useMutation({
    mutationFn: ({ id }: ComparisonSummary) => base.remove(id),
    onSuccess: ({ backup }, { title }) => {
      tell({ text: phrases.wasRemovedAllThatWasHere(title, backup) });
      void client.invalidateQueries({ queryKey: ['comparisons'] });
    },
  });
  if (comparisons.length === 0) return null;
  return (
    <details className="sheet p-4">
      <summary className="cursor-pointer">{phrases.setAside2(comparisons.length)}</summary>
      {remove.error && <Trouble error={remove.error} />}
      <ul className="mt-2 grid gap-2">
        {comparisons.map((c) => (
          <li key={c.id} className="flex flex-wrap items-center gap-2 border-t border-rule pt-2">
            <span className="min-w-0 flex-1">
              <strong>{c.title}</strong>
              {c.aside && (
                <span className="block text-[0.87rem] text-faint">
                  {c.aside.reason}; {format(c.aside.atMs, 'd MMMM, HH:mm')}
                </span>
              )}
            </span>
            <button
              className="btn"
              aria-label={phrases.takeBack(c.title)}
              onClick={() => aside.mutate({ id: c.id })}
            >
              {phrases.takeBack2}
            </button>
            <button
              className="btn btn-quiet"
              aria-label={phrases.backUpThenRemoveForGood(c.title)}
              disabled={remove.isPending}
              onClick={() => remove.mutate(c)}
            >
              {remove.isPending ? phrases.backingUp : phrases.backUpThenRemoveForGood2}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
