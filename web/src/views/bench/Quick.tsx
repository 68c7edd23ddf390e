import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { KINDS, parseLength, type LengthUnit } from '@urvek/core';
import { quickSetup } from '@urvek/study';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import * as yup from 'yup';
import { base } from '../../api/client.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { Stage } from '../../components/Frame.tsx';
import { Trouble } from '../../components/States.tsx';
import { useUnit } from '../../state/unit.ts';

function metresOf(text: string, unit?: LengthUnit): number | undefined {
  try {
    return parseLength(text, unit).valueM;
  } catch {
    return undefined;
  }
}

const schema = yup.object({
  kindId: yup.string().required(),
  first: yup.string().trim().required('Name the first').max(60),
  second: yup
    .string()
    .trim()
    .required('Name the other')
    .max(60)
    .test(
      'other',
      'Two products need two names',
      (name, { parent }) => name !== (parent as { first?: string }).first,
    ),
  length: yup
    .string()
    .required('How long, about?')
    .test('length', 'A length above 0, as “120 m” or “400 ft”', (text) => (metresOf(text) ?? 0) > 0),
  walksEach: yup.number().typeError('How many?').integer().min(1).max(30).required(),
});
type Asked = yup.InferType<typeof schema>;

/** Two products on one path, from one sheet: the rest is not stated, and can be said later. */
export function Quick() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const [unit] = useUnit();
  const form = useForm<Asked>({
    resolver: yupResolver(schema),
    defaultValues: { kindId: 'microphone', first: '', second: '', length: '', walksEach: 3 },
  });
  const make = useMutation({
    mutationFn: async ({ kindId, first, second, length, walksEach }: Asked) => {
      const made = await base.create({
        id: crypto.randomUUID(),
        title: `${first} against ${second}`.slice(0, 120),
        question: `Which reaches farther on one path, ${first} or ${second}?`,
      });
      return base.update(made.id, {
        title: made.title,
        question: made.question,
        revision: made.revision,
        setup: quickSetup(
          { kindId, names: [first, second], lengthM: metresOf(length, unit) ?? 0, walksEach },
          () => crypto.randomUUID().slice(0, 8),
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
    <Stage
      title="Quick comparison"
      lead="Two products, one path, as many walks of each. Everything else stays not stated, and can be said later."
    >
      <form
        className="sheet grid max-w-xl gap-3 p-4"
        onSubmit={(e) => void form.handleSubmit((asked) => make.mutate(asked))(e)}
      >
        <Choice label="What are they?" {...form.register('kindId')}>
          {KINDS.map((k) => (
            <option key={k.id} value={k.id}>
              {k.name}
            </option>
          ))}
        </Choice>
        <div className="grid gap-3 sm:grid-cols-2">
          <Field label="The first" {...form.register('first')} error={errors.first?.message} />
          <Field label="The other" {...form.register('second')} error={errors.second?.message} />
        </div>
        <div className="grid gap-3 sm:grid-cols-2">
          <Field
            label="How long is the path?"
            placeholder={`120 ${unit}`}
            {...form.register('length')}
            error={errors.length?.message}
          />
          <Field
            label="Walks of each"
            type="number"
            min={1}
            max={30}
            {...form.register('walksEach')}
            error={errors.walksEach?.message}
          />
        </div>
        <p className="text-[0.9rem] text-faint">
          The path gets ten posts, evenly spaced, which the mark key offers one after the other; distances
          count as judged by eye until you say how they were measured, under Paths. With three walks or more
          each, medians and their ratio have bounds.
        </p>
        {make.error && <Trouble error={make.error} />}
        <div>
          <button className="btn btn-main" disabled={make.isPending}>
            Create it, and go to the first walk
          </button>
        </div>
      </form>
    </Stage>
  );
}
