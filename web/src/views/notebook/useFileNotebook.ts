import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Comparison } from '@urvek/contract';
import { type Saying } from '@urvek/core';
import type { TakenNotebook } from '@urvek/study';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { useNotice } from '../../components/Notice.tsx';
import * as phrases from './phrases.ts';

/** Sends what the rows come to: the comparison where it is new, what is new in its set-up, and the walks. */
export function useFileNotebook({
  comparison,
  newId,
  title,
  taken,
  sayings,
  onTaken,
}: {
  comparison: Comparison | undefined;
  newId: string;
  title: string;
  taken: TakenNotebook;
  /** What words stand for, where that was changed. */
  sayings: readonly Saying[] | undefined;
  /** They are walks now. Answers how many rows wait on. */
  onTaken: () => number;
}) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const notice = useNotice();
  return useMutation({
    mutationFn: async () => {
      const into =
        comparison ??
        (await base.create({ id: newId, title: title.trim() || phrases.fromANotebook, question: '' }));
      if (taken.made.length > 0 || sayings)
        await base.update(into.id, {
          title: into.title,
          question: into.question,
          revision: into.revision,
          setup: { ...taken.setup, ...(sayings ? { sayings: [...sayings] } : {}) },
        });
      await base.importWalks(
        into.id,
        taken.walks.map((w) => ({ ...w, header: { ...w.header, comparisonId: into.id } })),
      );
      return into.id;
    },
    onSuccess: (id) => {
      const left = onTaken();
      for (const key of [['walks', id], ['comparison', id], ['comparisons']])
        void client.invalidateQueries({ queryKey: key });
      notice({
        text: phrases.rowsAreNow(
          taken.rows,
          phrases.countedWalks(taken.walks.length),
          left > 0 ? phrases.waitInTheNotebook(left) : '',
        ),
      });
      void navigate(`/c/${id}/trace`);
    },
  });
}
