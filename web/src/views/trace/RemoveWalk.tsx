import type { Finding } from '@urvek/study';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import { isRemoved } from '../../field/sync.ts';
import * as phrases from './phrases.ts';

/** A walk that is left out goes for good, behind a backup: by the owner, at the machine that runs Urvek. */
export function RemoveWalk({ finding: { walkId, header } }: { finding: Finding }) {
  const client = useQueryClient();
  const tell = useNotice();
  const go = useNavigate();
  const remove = useMutation({
    mutationFn: () => base.removeWalk(walkId),
    onSuccess: async ({ backup }) => {
      await isRemoved(walkId);
      tell({ text: phrases.theWalkWasRemovedAllThat(backup) });
      await client.invalidateQueries({ queryKey: ['walks', header.comparisonId] });
      void go(`/c/${header.comparisonId}/trace`);
    },
  });
  return (
    <>
      <button
        type="button"
        className="btn btn-quiet"
        disabled={remove.isPending}
        onClick={() => remove.mutate()}
      >
        {remove.isPending ? phrases.backingUp : phrases.backUpThenRemoveForGood}
      </button>
      {remove.error && <Trouble error={remove.error} />}
    </>
  );
}
