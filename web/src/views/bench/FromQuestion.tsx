import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { kindOf, parseLength, type LengthUnit } from '@urvek/core';
import { setupFromTemplate, TEMPLATES, type Template } from '@urvek/study';
import { useForm } from 'react-hook-form';
import { useNavigate, useSearchParams } from 'react-router';
import * as yup from 'yup';
import { base } from '../../api/client.ts';
import { Field } from '../../components/Field.tsx';
import { Stage } from '../../components/Frame.tsx';
import { Trouble } from '../../components/States.tsx';
import { useUnit } from '../../state/unit.ts';
import { TemplateIcon } from './TemplateIcon.tsx';

function metresOf(text: string, unit?: LengthUnit): number | undefined {
  try {
    return parseLength(text, unit).valueM;
  } catch {
    return undefined;
  }
}

const schema = yup.object({
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

/** A comparison from a question: how it is walked is ready, the rest is not stated and can be said later. */
export function FromQuestion() {
  const [params, setParams] = useSearchParams();
  const template = TEMPLATES.find((t) => t.kindId === params.get('from')) ?? (TEMPLATES[0] as Template);
  return (
    <Stage
      title="Start from a question"
      lead="How it is walked is ready. Everything else stays not stated until you say it."
    >
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_1.1fr]">
        <fieldset className="grid gap-2">
          <legend className="sr-only">The question</legend>
          {TEMPLATES.map((t) => (
            <label
              key={t.kindId}
              className={`sheet flex cursor-pointer items-center gap-3 px-3 py-2 has-focus-visible:outline-3 ${t === template ? 'border-l-8 border-l-accent' : ''}`}
            >
              <input
                type="radio"
                name="question"
                className="size-4 accent-ink"
                checked={t === template}
                onChange={() => setParams({ from: t.kindId }, { replace: true })}
              />
              <TemplateIcon kindId={t.kindId} />
              <span>
                <strong className="block">{t.question}</strong>
                <span className="text-faint">{kindOf(t.kindId).name}</span>
              </span>
            </label>
          ))}
        </fieldset>
        <Answers key={template.kindId} template={template} />
      </div>
    </Stage>
  );
}

function Answers({ template }: { template: Template }) {
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
      <Ready template={template} />
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
      <p className="text-faint">
        The path gets ten posts, evenly spaced. Distances count as judged by eye until you say how they were
        measured, under Paths.
      </p>
      {make.error && <Trouble error={make.error} />}
      <div>
        <button className="btn btn-main" disabled={make.isPending}>
          Create it, and go to the first walk
        </button>
      </div>
    </form>
  );
}

/** What the template brings along. */
function Ready({ template }: { template: Template }) {
  const kind = kindOf(template.kindId);
  const rows = [
    ['Watched', kind.watched],
    ['Played', kind.testSignal],
    ['Logged', template.mode],
    ['The range that counts', kind.claimCriterion],
    ['Before each rig', `${kind.checks.length} checks`],
    ['Grades', `5 ${kind.words[5]} … 1 ${kind.words[1]}`],
  ] as const;
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 border-b border-rule pb-2">
      {rows.map(([what, text]) => (
        <div key={what} className="contents">
          <dt className="text-faint">{what}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}
