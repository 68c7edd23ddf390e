import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ComparisonSummary } from '@urvek/contract';
import { format } from 'date-fns';
import { useId, useState, type FormEvent } from 'react';
import { base } from '../../api/client.ts';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';

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
          tell({ text: `“${title}” is set aside; nothing of it is lost.`, undo: () => aside.mutate({ id }) }),
      },
    );
  };
  return (
    <details className="mt-2">
      <summary className="w-fit cursor-pointer text-[0.87rem] text-faint">Set aside</summary>
      <form className="mt-1 flex flex-wrap items-end gap-2" onSubmit={submit}>
        <span className="grid flex-1 text-[0.87rem]">
          <label htmlFor={field}>Why</label>
          <input
            id={field}
            className="input"
            value={reason}
            required
            maxLength={500}
            onChange={(e) => setReason(e.target.value)}
          />
        </span>
        <button className="btn">Set aside</button>
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
      tell({ text: `“${title}” was removed. All that was here before is in ${backup}.` });
      void client.invalidateQueries({ queryKey: ['comparisons'] });
    },
  });
  if (comparisons.length === 0) return null;
  return (
    <details className="sheet p-4">
      <summary className="cursor-pointer">Set aside: {comparisons.length}</summary>
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
              aria-label={`Take ${c.title} back`}
              onClick={() => aside.mutate({ id: c.id })}
            >
              Take back
            </button>
            <button
              className="btn btn-quiet"
              aria-label={`Back up, then remove ${c.title} for good`}
              disabled={remove.isPending}
              onClick={() => remove.mutate(c)}
            >
              {remove.isPending ? 'Backing up …' : 'Back up, then remove for good'}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
