import { nextStage, STAGE_NAME } from '@urvek/study';
import { NavLink, useSearchParams } from 'react-router';
import { useWorkspace } from '../api/study.ts';
import { lensSearch } from '../state/lens.ts';
import { StageMark } from './StageMark.tsx';
import * as phrases from './phrases.ts';

/** The eight stages, in the order of the work: what is there, what is missing. */
export function StageStrip({ id }: { id: string }) {
  const { overview } = useWorkspace(id, true);
  const [params] = useSearchParams();
  if (!overview) return null;
  const next = nextStage(overview.stages)?.stage;
  return (
    <nav aria-label={phrases.stages} className="no-print overflow-x-auto border-b-2 border-ink bg-sheet">
      <ol className="flex min-w-max">
        {overview.stages.map(({ stage, mark, text }, i) => (
          <li key={stage} className="flex-1">
            <NavLink
              to={{ pathname: `/c/${id}/${stage}`, search: lensSearch(params) }}
              className={({ isActive }) =>
                'block h-full border-l border-rule px-3 pt-1 pb-1.5 hover:bg-white ' +
                `${isActive ? 'bg-white shadow-[inset_0_-5px_0_var(--color-accent)]' : ''}`
              }
            >
              <span className="relative flex items-baseline gap-1.5 font-head font-bold">
                <span className="figure text-[0.87rem] font-normal text-faint">{i + 1}</span>
                {STAGE_NAME[stage]}
                <StageMark mark={mark} className="ml-auto self-center" />
              </span>
              <span className="relative block text-[0.87rem] whitespace-nowrap text-faint">
                {stage === next && <strong className="text-ink">{phrases.next}</strong>}
                {text}
              </span>
            </NavLink>
          </li>
        ))}
      </ol>
    </nav>
  );
}
