import { ArrowLeft, ArrowRight } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import { STAGE_NAME } from '@urvek/study';
import { TOUR, TOUR_PARAM } from './tourSteps.ts';
import * as phrases from './phrases.ts';

/** One step of the demo, above the stage that it is about; the step is in the address. */
export function Tour({ id }: { id: string }) {
  const [params] = useSearchParams();
  const at = Number(params.get(TOUR_PARAM) ?? 'none') - 1;
  const step = TOUR[at];
  if (!step) return null;
  const to = (i: number): string => `/c/${id}/${TOUR[i]?.stage ?? 'kit'}?${TOUR_PARAM}=${i + 1}`;
  return (
    <section
      aria-label={phrases.theDemoStepByStep}
      className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-ink bg-white px-4 py-1.5"
    >
      <p className="min-w-60 flex-1" role="status">
        <strong>{phrases.ofText(at + 1, TOUR.length, STAGE_NAME[step.stage])}</strong> {step.look}
      </p>
      <span className="flex gap-2">
        {at > 0 && (
          <Link className="btn" to={to(at - 1)}>
            <ArrowLeft aria-hidden size={16} />
            {phrases.back}
          </Link>
        )}
        {at + 1 < TOUR.length ? (
          <Link className="btn btn-main" to={to(at + 1)}>
            {phrases.next2}
            <ArrowRight aria-hidden size={16} />
          </Link>
        ) : (
          <Link className="btn btn-main" to="/">
            {phrases.done}
          </Link>
        )}
        <Link className="btn btn-quiet" to={`/c/${id}/${step.stage}`}>
          {phrases.leaveTheDemoTour}
        </Link>
      </span>
    </section>
  );
}
