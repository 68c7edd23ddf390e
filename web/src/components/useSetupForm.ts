import { yupResolver } from '@hookform/resolvers/yup';
import { comparisonUpdateSchema, setupSchema, type Comparison, type Setup } from '@urvek/contract';
import { useEffect } from 'react';
import { useForm, type Resolver, type UseFormReturn } from 'react-hook-form';
import { useSaveComparison } from '../api/queries.ts';
import { useNotice } from './Notice.tsx';

/** A form over the whole set-up: each stage edits its part, and the document is saved whole, with undo. */
export function useSetupForm(
  comparison: Comparison,
  what: string,
): { form: UseFormReturn<Setup>; save: () => void; error: Error | null; saving: boolean } {
  const form = useForm<Setup>({
    resolver: yupResolver(setupSchema) as unknown as Resolver<Setup>,
    defaultValues: comparison.setup,
    mode: 'onBlur',
  });
  const { mutate, error, isPending } = useSaveComparison(comparison.id);
  const notice = useNotice();
  useEffect(() => form.reset(comparison.setup), [form, comparison.revision, comparison.setup]);
  const save = form.handleSubmit((setup) => {
    const { title, question, revision } = comparison;
    mutate(comparisonUpdateSchema.validateSync({ title, question, setup, revision }), {
      onSuccess: (saved) =>
        notice({
          text: `${what} saved`,
          undo: () => mutate({ title, question, setup: comparison.setup, revision: saved.revision }),
        }),
    });
  });
  return { form, save: () => void save(), error, saving: isPending };
}
