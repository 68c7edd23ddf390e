import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { parseLength, type LengthUnit } from '@urvek/core';
import { setupFromTemplate, type Template } from '@urvek/study';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import * as yup from 'yup';
import { base } from '../../api/client.ts';
import { Field } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import { useUnit } from '../../state/unit.ts';
import { QuestionReady } from './QuestionReady.tsx';
import * as phrases from './phrases.ts';

function metresOf(text: string, unit?: LengthUnit): number | undefined {
  try {
    return parseLength(text, unit).valueM;
  } catch {
    return undefined;
  }
}

const schema = yup.object({
  first: yup.string().trim().required(phrases.nameTheFirst).max(60),
  second: yup
    .string()
    .trim()
    .required(phrases.nameTheOther)
    .max(60)
    .test(
      'other',
      'Two products need two names',
      (name, { parent }) => name !== (parent as { first?: string }).first,
    ),
  length: yup
    .string()
    .required(phrases.howLongAbout)
    .test('length', 'A length above 0, as “120 m” or “400 ft”', (text) => (metresOf(text) ?? 0) > 0),
  walksEach: yup.number().typeError(phrases.howMany).integer().min(1).max(30).required(),
});

type Asked = yup.InferType<typeof schema>;

/** The few answers that a question needs before its first walk. */
export function QuestionAnswers({ template }: { template: Template }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const [unit] = useUnit();
  const form = useForm<Asked>({
    resolver: yupResolver(schema),
    defaultValues: { first: '', second: '', length: '', walksEach: template.walksEach },
  });
  const make = useMutation({
    mutationFn: async ({ first, second, length, walksEach }: Asked) => {
      const names = [first, second];
      const made = await base.create({
        id: crypto.randomUUID(),
        title: names.join(' against ').slice(0, 120),
        question: template.asked(names).slice(0, 300),
      });
      return base.update(made.id, {
        title: made.title,
        question: made.question,
        revision: made.revision,
        setup: setupFromTemplate({ template, names, lengthM: metresOf(length, unit) ?? 0, walksEach }, () =>
          crypto.randomUUID().slice(0, 8),
        ),
      });
    },
    onSuccess: ({ id }) => {
      void client.invalidateQueries({ queryKey: ['comparisons'] });
      void navigate(`/c/${id}/walk`);
    },
  });
  const { errors } = form.formState;
  return (
    <form
      className="sheet grid gap-3 p-4"
      aria-label={template.question}
      onSubmit={(e) => void form.handleSubmit((asked) => make.mutate(asked))(e)}
    >
      <QuestionReady template={template} />
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label={phrases.theFirst} {...form.register('first')} error={errors.first?.message} />
        <Field label={phrases.theOther} {...form.register('second')} error={errors.second?.message} />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label={phrases.howLongIsThePath}
          placeholder={`120 ${unit}`}
          {...form.register('length')}
          error={errors.length?.message}
        />
        <Field
          label={phrases.walksOfEach}
          type="number"
          min={1}
          max={30}
          {...form.register('walksEach')}
          error={errors.walksEach?.message}
        />
      </div>
      <p className="text-faint">{phrases.thePathGetsTenPostsEvenly}</p>
      {make.error && <Trouble error={make.error} />}
      <div>
        <button className="btn btn-main" disabled={make.isPending}>
          {phrases.createItAndGoToThe}
        </button>
      </div>
    </form>
  );
}
