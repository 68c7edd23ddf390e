import { Link, Outlet } from 'react-router';
import { useComparison } from './api/queries.ts';
import { StageStrip } from './components/StageStrip.tsx';
import { TopBar } from './components/TopBar.tsx';
import { useComparisonId } from './components/WithWorkspace.tsx';
import { Tour } from './components/Tour.tsx';
import * as phrases from './phrases.ts';

/** What stands around every stage of one comparison: its name, its history, the stages. */
export function ComparisonFrame() {
  const id = useComparisonId();
  const { data } = useComparison(id);
  return (
    <>
      <TopBar>
        {data && (
          <>
            {data.title}
            {data.demo && (
              <span className="ml-3 border border-sheet px-1.5 text-sm">{phrases.madeUpSimulatedWalks}</span>
            )}
            {/* It names products: while the plan is blind it is reached from Kit. */}
            {data.setup.plan.blind !== true && (
              <Link to={`/c/${id}/history`} className="ml-3 hidden text-sm underline sm:inline">
                {phrases.history}
              </Link>
            )}
          </>
        )}
      </TopBar>
      <StageStrip id={id} />
      <Tour id={id} />
      <Outlet />
    </>
  );
}
