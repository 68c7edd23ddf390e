import { studies, useComparisons, useFieldLog } from '../../api/queries.ts';
import { yupResolver } from '@hookform/resolvers/yup';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { newComparisonSchema, type ComparisonSummary, type NewComparison } from '@urvek/contract';
import { format } from 'date-fns';
import { ArrowRight, Footprints, Plus } from 'lucide-react';
import { useEffect } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { Field } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { Stage } from '../../components/Frame.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';

/** Home: the comparisons, and what each wants next. */
export function Bench() {
  const { data, error } = useComparisons();
  const client = useQueryClient();
  // Seen once with a link, every comparison is there without one.
  useEffect(
    () =>
      data?.forEach((c) => {
        void client.prefetchQuery({ queryKey: ['comparison', c.id], queryFn: () => base.comparison(c.id) });
        void client.prefetchQuery({ queryKey: ['walks', c.id], queryFn: () => studies().fetchBase(c.id) });
      }),
    [data, client],
  );
  return (
    <Stage
      title="Bench"
      lead="One comparison answers one question: which product reaches how far, on which path, by which criterion."
      actions={
        <>
          <Link className="btn" to="/devices">
            Devices
          </Link>
          <Link className="btn" to="/join">
            Join a walk
          </Link>
          <Link className="btn" to="/trainer">
            Reaction trainer
          </Link>
          <Link className="btn btn-main" to="/walk-now">
            <Footprints aria-hidden size={16} />
            Walk now
          </Link>
        </>
      }
    >
      <div className="grid gap-4 lg:grid-cols-[1fr_340px]">
        <section aria-label="Comparisons" className="grid content-start gap-3">
          <Unfiled />
          {error && <Trouble error={error} />}
          {!data && !error && <Loading what="the comparisons" />}
          {data?.length === 0 && (
            <Empty title="No comparison yet">Put the question on the right, then enter the kit.</Empty>
          )}
          {data?.map((comparison) => (
            <Entry key={comparison.id} comparison={comparison} />
          ))}
        </section>
        <div className="grid content-start gap-3">
          <NewComparisonForm />
          <ImportWhole />
        </div>
      </div>
    </Stage>
  );
}

/** Walks begun with nothing set up that are not filed under a comparison yet. */
function Unfiled() {
  const walks = useFieldLog(() => fieldLog.walks.where({ comparisonId: UNFILED }).toArray(), 'unfiled');
  if (!walks || walks.length === 0) return null;
  return (
    <ul className="grid gap-2">
      {walks.map((w) => (
        <li key={w.id} className="sheet border-l-4 border-l-degraded px-4 py-2">
          A walk of {format(w.header.startedMs, 'd MMMM, HH:mm')}{' '}
          {w.underWay ? (
            <>
              is not finished:{' '}
              <Link className="underline" to="/walk-now">
                go on with it
              </Link>
              .
            </>
          ) : (
            <>
              is kept on this device only:{' '}
              <Link className="underline" to={`/file/${w.id}`}>
                say what it was a walk of
              </Link>
              .
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

function Entry({ comparison: c }: { comparison: ComparisonSummary }) {
  const { to, text } = nextStep(c);
  return (
    <article className="sheet p-4">
      <div className="flex items-baseline gap-3">
        <h2>
          <Link
            to={`/c/${c.id}/kit`}
            className="underline decoration-rule underline-offset-4 hover:decoration-ink"
          >
            {c.title}
          </Link>
        </h2>
        {c.demo && <span className="border border-ink px-1.5 text-xs">made up: simulated walks</span>}
      </div>
      <p className="mt-1 max-w-[75ch]">{c.question}</p>
      <dl className="mt-3 flex flex-wrap gap-x-8 gap-y-1">
        <div>
          <dt className="text-[0.8rem] text-faint">Products</dt>
          <dd>{c.products.join(', ') || 'none yet'}</dd>
        </div>
        <div>
          <dt className="text-[0.8rem] text-faint">Paths</dt>
          <dd>{c.paths.join(', ') || 'none yet'}</dd>
        </div>
        <div>
          <dt className="text-[0.8rem] text-faint">Walks</dt>
          <dd className="figure">
            {c.walksMade} of {c.walksPlanned}
          </dd>
        </div>
      </dl>
      <p className="mt-3">
        <Link to={`/c/${c.id}/${to}`} className="btn">
          {text}
          <ArrowRight aria-hidden size={16} />
        </Link>
      </p>
    </article>
  );
}

function nextStep(c: ComparisonSummary): { to: string; text: string } {
  if (c.products.length < 2) return { to: 'kit', text: 'Next: enter the products' };
  if (c.paths.length === 0) return { to: 'paths', text: 'Next: lay out a path' };
  if (c.walksMade < c.walksPlanned)
    return { to: 'walk', text: `Next: walk ${c.walksMade + 1} of ${c.walksPlanned}` };
  return { to: 'report', text: 'Next: read the report' };
}

function NewComparisonForm() {
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
      className="sheet grid content-start gap-3 p-4"
      onSubmit={(e) => void form.handleSubmit((wanted) => create.mutate(wanted))(e)}
    >
      <h2>New comparison</h2>
      <Field
        label="Title"
        placeholder="Two routers in the mill"
        {...form.register('title')}
        error={form.formState.errors.title?.message}
      />
      <Field
        label="Question"
        placeholder="Which one still gives 40 Mbit/s upstairs?"
        {...form.register('question')}
        error={form.formState.errors.question?.message}
      />
      {create.error && <Trouble error={create.error} />}
      <div>
        <button className="btn btn-main" disabled={create.isPending}>
          <Plus aria-hidden size={16} />
          Make it
        </button>
      </div>
    </form>
  );
}

const IMPORT_LIMIT_BYTES = 64_000_000;

/** A whole comparison from a file of another Urvek, or of this one's past: all of it is taken in, or nothing. */
function ImportWhole() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const take = useMutation({
    mutationFn: base.importWhole,
    onSuccess: (comparison) => {
      void client.invalidateQueries({ queryKey: ['comparisons'] });
      void navigate(`/c/${comparison.id}/ranges`);
    },
  });
  return (
    <section className="sheet grid gap-2 p-4" aria-label="Import a comparison">
      <h2>From a file</h2>
      <FilePick
        label="Import a comparison"
        hint="Import a whole comparison, a file ending in .urvek.json"
        accept=".json,application/json"
        limitBytes={IMPORT_LIMIT_BYTES}
        expects={[SyntaxError]}
        kept="Nothing was stored; choose another file."
        read={(_, text) => take.mutate(JSON.parse(text))}
      />
      {take.isPending && (
        <p role="status" className="text-faint">
          Reading the comparison …
        </p>
      )}
      {take.error && <Trouble error={take.error} />}
    </section>
  );
}
