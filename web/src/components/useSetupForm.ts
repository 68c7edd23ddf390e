import { yupResolver } from '@hookform/resolvers/yup';
import { comparisonUpdateSchema, setupSchema, type Comparison, type Setup } from '@urvek/contract';
import { mergeSetups, type Merge } from '@urvek/study';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useForm, type Resolver, type UseFormReturn } from 'react-hook-form';
import { Refused } from '../api/client.ts';
import { useSaveComparison } from '../api/queries.ts';
import { useNotice } from './Notice.tsx';
import * as phrases from './phrases.ts';

/** Somebody else changed the same set-up while it was edited here. */
export interface SetupConflict extends Merge {
  /** Takes what was decided: the set-up as it shall be, to be saved. */
  readonly resolve: (setup: Setup) => void;
}

/** What stands at the foot of a stage that edits the set-up. */
export interface SetupBar {
  readonly dirty: boolean;
  readonly saving: boolean;
  readonly error: Error | null;
  readonly conflict: SetupConflict | undefined;
  readonly onSave: () => void;
  readonly onDiscard: () => void;
}

/**
 * A form over the whole set-up: each stage edits its part, and the document is saved whole, with undo. What comes from
 * elsewhere meanwhile takes nothing away that was typed here: the two are shown side by side.
 */
export function useSetupForm(
  comparison: Comparison,
  what: string,
): { form: UseFormReturn<Setup>; bar: SetupBar } {
  const form = useForm<Setup>({
    resolver: yupResolver(setupSchema) as unknown as Resolver<Setup>,
    defaultValues: comparison.setup,
    mode: 'onBlur',
  });
  const { mutate, error, isPending, reset } = useSaveComparison(comparison.id);
  const client = useQueryClient();
  const notice = useNotice();
  /** What the form was made from, and what was decided of a conflict on top of it. */
  const [from, setFrom] = useState<{ readonly comparison: Comparison; readonly decided?: Setup }>({
    comparison,
  });
  const { isDirty } = form.formState;
  // What comes back from a save of one's own is taken in there.
  const changedElsewhere = !isPending && comparison.revision !== from.comparison.revision;
  if (changedElsewhere && !isDirty) setFrom({ comparison });
  const theirs = changedElsewhere && isDirty ? comparison : undefined;
  useEffect(() => {
    form.reset(from.comparison.setup);
    if (from.decided) form.reset(from.decided, { keepDefaultValues: true });
  }, [form, from]);
  const save = form.handleSubmit((setup) => {
    const { title, question, revision, setup: before } = from.comparison;
    mutate(comparisonUpdateSchema.validateSync({ title, question, setup, revision }), {
      onSuccess: (saved) => {
        setFrom({ comparison: saved });
        notice({
          text: phrases.saved(what),
          undo: () => mutate({ title, question, setup: before, revision: saved.revision }),
        });
      },
      onError: (cause) => {
        // What the others have made of it is fetched, and shown beside this.
        if (cause instanceof Refused && cause.status === 409)
          void client.invalidateQueries({ queryKey: ['comparison', comparison.id] });
      },
    });
  });
  const resolve = (setup: Setup): void => {
    if (!theirs) return;
    reset();
    setFrom({ comparison: theirs, decided: setup });
  };
  return {
    form,
    bar: {
      dirty: isDirty,
      saving: isPending,
      error: theirs ? null : error,
      conflict: theirs && {
        ...mergeSetups(from.comparison.setup, theirs.setup, form.getValues()),
        resolve,
      },
      onSave: () => void save(),
      onDiscard: () => {
        if (theirs) resolve(theirs.setup);
        else form.reset();
      },
    },
  };
}
