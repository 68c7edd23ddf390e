import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { newComparisonSchema, type NewComparison } from '@urvek/contract';
import { Plus } from 'lucide-react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { Field } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import * as phrases from './phrases.ts';

export function NewComparisonForm() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const form = useForm<NewComparison>({
    resolver: yupResolver(newComparisonSchema),
    defaultValues: { id: crypto.randomUUID(), title: '', question: '' },
  });
  const create = useMutation({
    mutationFn: base.create,
    onSuccess: (comparison) => {
      void client.invalidateQueries({ queryKey: ['comparisons'] });
      void navigate(`/c/${comparison.id}/kit`);
    },
  });
  return (
    <form
      className="mt-2 grid content-start gap-3"
      onSubmit={(e) => void form.handleSubmit((wanted) => create.mutate(wanted))(e)}
    >
      <Field
        label={phrases.title}
        placeholder={phrases.twoRoutersInTheMill}
        {...form.register('title')}
        error={form.formState.errors.title?.message}
      />
      <Field
        label={phrases.question}
        placeholder={phrases.whichOneStillGives40Mbit}
        {...form.register('question')}
        error={form.formState.errors.question?.message}
      />
      {create.error && <Trouble error={create.error} />}
      <div>
        <button className="btn btn-main" disabled={create.isPending}>
          <Plus aria-hidden size={16} />
          {phrases.create}
        </button>
      </div>
    </form>
  );
}
