import type { ComparisonSummary } from '@urvek/contract';
import { ArrowRight } from 'lucide-react';
import { Link } from 'react-router';
import { SetComparisonAside } from './Aside.tsx';
import { EntryCount } from './EntryCount.tsx';
import { Stages } from './Stages.tsx';
import * as phrases from './phrases.ts';

/** A comparison in a row: its question, what is there of it, and the next step. */
export function Entry({ comparison: c }: { comparison: ComparisonSummary }) {
  const { to, text } = nextStep(c);
  const withinPlan = c.walksMade <= c.walksPlanned && c.walksPlanned > 0;
  return (
    <article className="sheet px-3 py-2">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <div className="min-w-60 flex-1">
          <div className="flex flex-wrap items-baseline gap-x-3">
            <h2>
              <Link
                to={`/c/${c.id}/kit`}
                className="underline decoration-rule underline-offset-4 hover:decoration-ink"
              >
                {c.title}
              </Link>
            </h2>
            {c.demo && (
              <span className="border border-ink px-1.5 text-[0.87rem]">{phrases.madeUpSimulatedWalks}</span>
            )}
          </div>
          <p className="max-w-[75ch]">{c.question}</p>
        </div>
        <Link to={`/c/${c.id}/${to}`} className="btn">
          {text}
          <ArrowRight aria-hidden size={16} />
        </Link>
      </div>
      <Stages id={c.id} title={c.title} />
      <div className="mt-1 flex flex-wrap items-baseline gap-x-4 text-[0.87rem] text-faint">
        <EntryCount of={c.products} one="product" />
        <EntryCount of={c.paths} one="path" />
        <span className="flex items-center gap-2">
          <span className="figure">
            {withinPlan ? phrases.ofText(c.walksMade, c.walksPlanned) : c.walksMade}
          </span>
          {withinPlan ? phrases.walks : phrases.walksNPlanned(c.walksPlanned)}
          {c.walksPlanned > 0 && (
            <span aria-hidden className="inline-block h-2.5 w-32 border border-ink">
              <span
                className="block h-full bg-ink"
                style={{ width: `${Math.min(100, (100 * c.walksMade) / c.walksPlanned)}%` }}
              />
            </span>
          )}
        </span>
        <SetComparisonAside comparison={c} />
      </div>
    </article>
  );
}

function nextStep(c: ComparisonSummary): { to: string; text: string } {
  if (c.products.length < 2) return { to: 'kit', text: phrases.nextEnterTheProducts };
  if (c.paths.length === 0) return { to: 'paths', text: phrases.nextLayOutAPath };
  if (c.walksMade < c.walksPlanned)
    return { to: 'walk', text: phrases.nextWalkOf(c.walksMade + 1, c.walksPlanned) };
  return { to: 'report', text: phrases.nextReadTheReport };
}
