import type { ComparisonSummary } from '@urvek/contract';
import { ArrowRight } from 'lucide-react';
import { Link } from 'react-router';
import { SetComparisonAside } from './Aside.tsx';

export function Entry({ comparison: c }: { comparison: ComparisonSummary }) {
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
      <SetComparisonAside comparison={c} />
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
