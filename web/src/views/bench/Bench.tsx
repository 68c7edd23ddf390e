import { useQueryClient } from '@tanstack/react-query';
import { Footprints, Milestone } from 'lucide-react';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { base, isShutOut } from '../../api/client.ts';
import { useComparisons } from '../../api/queries.ts';
import { studies } from '../../api/study.ts';
import { Stage } from '../../components/Stage.tsx';
import { TOUR_PARAM } from '../../components/tourSteps.ts';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { AsideList } from './Aside.tsx';
import { Entry } from './Entry.tsx';
import { ImportWhole } from './ImportWhole.tsx';
import { NewComparisonForm } from './NewComparisonForm.tsx';
import { Questions } from './Questions.tsx';
import { UnderWay } from './UnderWay.tsx';
import { Unfiled } from './Unfiled.tsx';
import * as phrases from './phrases.ts';

/** Home: the comparisons, and what each wants next. */
export function Bench() {
  const { data, error } = useComparisons();
  const shown = data?.filter((c) => !c.aside) ?? [];
  const demo = shown.find((c) => c.demo);
  const client = useQueryClient();
  // Seen once with a link, every comparison is there without one.
  useEffect(
    () =>
      data?.forEach((c) => {
        void client.prefetchQuery({ queryKey: ['comparison', c.id], queryFn: () => base.comparison(c.id) });
        void client.prefetchQuery({ queryKey: ['kept', c.id], queryFn: () => studies().keep(c.id) });
      }),
    [data, client],
  );
  return (
    <Stage
      title={phrases.bench}
      lead={phrases.whatWaitsForMe}
      actions={
        <>
          <Link className="btn" to="/devices">
            {phrases.devices}
          </Link>
          <Link className="btn" to="/join">
            {phrases.joinAWalk}
          </Link>
          <Link className="btn" to="/signals">
            {phrases.testSignals}
          </Link>
          <Link className="btn" to="/trainer">
            {phrases.reactionTrainer}
          </Link>
          <Link className="btn" to="/notebook">
            {phrases.writeAWalkDown}
          </Link>
          <Link className="btn btn-main" to="/walk-now">
            <Footprints aria-hidden size={16} />
            {phrases.walkNow}
          </Link>
        </>
      }
    >
      <div className="grid gap-4 lg:grid-cols-[1fr_340px]">
        <section aria-label={phrases.comparisons} className="grid content-start gap-3">
          <UnderWay />
          <Unfiled />
          {error && !isShutOut(error) && <Trouble error={error} />}
          {!data && !error && <Loading what={phrases.theComparisons} />}
          {data && shown.length === 0 && (
            <Empty title={phrases.noComparisonYet}>{phrases.startFromAQuestionOnThe}</Empty>
          )}
          {shown.map((comparison) => (
            <Entry key={comparison.id} comparison={comparison} />
          ))}
          <AsideList comparisons={data?.filter((c) => c.aside) ?? []} />
        </section>
        <div className="grid content-start gap-3">
          <Questions />
          {demo && (
            <Link className="btn justify-start" to={`/c/${demo.id}/kit?${TOUR_PARAM}=1`}>
              <Milestone aria-hidden size={16} />
              {phrases.theDemoInThreeMinutes}
            </Link>
          )}
          <details className="sheet px-3 py-2">
            <summary className="cursor-pointer font-bold">{phrases.anEmptyComparison}</summary>
            <NewComparisonForm />
          </details>
          <details className="sheet px-3 py-2">
            <summary className="cursor-pointer font-bold">{phrases.fromAFile}</summary>
            <ImportWhole />
          </details>
        </div>
      </div>
    </Stage>
  );
}
