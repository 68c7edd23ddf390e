import { LENGTH_UNITS, type LengthUnit } from '@urvek/core';
import type { Comparison } from '@urvek/contract';
import { nextStage, seal, STAGE_NAME, type WalkRow } from '@urvek/study';
import { useMemo, type ReactNode } from 'react';
import { Link, NavLink, useParams, useSearchParams } from 'react-router';
import { isShutOut } from '../api/client.ts';
import { useFieldLog, useWorkspace, type Workspace } from '../api/queries.ts';
import { fieldLog, HERE, SET_ASIDE, UNFILED } from '../field/fieldLog.ts';
import { lensSearch } from '../state/lens.ts';
import { useUnit } from '../state/unit.ts';
import { Heading } from './Heading.tsx';
import { ShutOut } from './ShutOut.tsx';
import { StageMark } from './StageMark.tsx';
import { Loading, Trouble } from './States.tsx';
import { Options } from './Field.tsx';

export function TopBar({ children }: { children?: ReactNode }) {
  const [unit, setUnit] = useUnit();
  return (
    <>
      <header className="no-print flex items-center gap-4 bg-ink px-4 py-1.5 text-sheet">
        <a
          href="#work"
          className="absolute -top-20 left-2 z-30 bg-sheet px-3 py-2 text-ink focus:top-1"
          onClick={(e) => {
            e.preventDefault();
            document.querySelector<HTMLElement>('main h1')?.focus();
          }}
        >
          Skip to the work
        </a>
        <Link to="/" className="font-head text-lg font-bold tracking-wide">
          Urvek
        </Link>
        <div className="min-w-0 flex-1 truncate">{children}</div>
        <FieldStatus />
        <Link to="/words" className="hidden text-sm underline sm:inline">
          Words
        </Link>
        <Link to="/methods" className="hidden text-sm underline sm:inline">
          Methods
        </Link>
        <label className="flex items-center gap-1.5 text-sm">
          Unit
          <select
            value={unit}
            onChange={(e) => setUnit(e.target.value as LengthUnit)}
            className="border border-sheet bg-ink px-1 py-0.5 text-sheet"
          >
            <Options of={LENGTH_UNITS} />
          </select>
        </label>
      </header>
      <ShutOut />
    </>
  );
}

/** What of this device's logs has not reached the base; nothing to say when all has. */
function FieldStatus() {
  const left = useFieldLog(() => fieldLog.events.where('place').anyOf(HERE, SET_ASIDE).toArray(), 'left');
  const loose = useFieldLog(() => fieldLog.walks.where({ comparisonId: UNFILED }).primaryKeys(), 'loose');
  if (!left || left.length === 0) return null;
  const aside = left.filter((k) => k.place === SET_ASIDE);
  const unfiled = left.filter((k) => loose?.includes(k.walkId)).length;
  const waiting = left.length - aside.length - unfiled;
  return (
    <p className="text-sm whitespace-nowrap">
      {waiting > 0 && <span>{waiting} to send</span>}
      {unfiled > 0 && <span className="ml-2">{unfiled} not filed</span>}
      {aside.length > 0 && (
        <strong className="ml-2 border border-sheet px-1.5">{aside.length} refused, set aside</strong>
      )}
    </p>
  );
}

/** The eight stages, in the order of the work: what is there, what is missing. */
export function StageStrip({ id }: { id: string }) {
  const { overview } = useWorkspace(id, true);
  const [params] = useSearchParams();
  if (!overview) return null;
  const next = nextStage(overview.stages)?.stage;
  return (
    <nav aria-label="Stages" className="no-print overflow-x-auto border-b-2 border-ink bg-sheet">
      <ol className="flex min-w-max">
        {overview.stages.map(({ stage, mark, text }, i) => (
          <li key={stage} className="flex-1">
            <NavLink
              to={{ pathname: `/c/${id}/${stage}`, search: lensSearch(params) }}
              className={({ isActive }) =>
                `block h-full border-l border-rule px-3 pt-1 pb-1.5 hover:bg-white ${isActive ? 'bg-white shadow-[inset_0_-5px_0_var(--color-accent)]' : ''}`
              }
            >
              <span className="relative flex items-baseline gap-1.5 font-head font-bold">
                <span className="figure text-[0.87rem] font-normal text-faint">{i + 1}</span>
                {STAGE_NAME[stage]}
                <StageMark mark={mark} className="ml-auto self-center" />
              </span>
              <span className="relative block text-[0.87rem] whitespace-nowrap text-faint">
                {stage === next && <strong className="text-ink">next: </strong>}
                {text}
              </span>
            </NavLink>
          </li>
        ))}
      </ol>
    </nav>
  );
}

export const useComparisonId = (): string => useParams<{ id: string }>().id ?? '';

/** A stage of a comparison: its head, and the view once the workspace is there. */
export function Stage({
  title,
  lead,
  actions,
  children,
}: {
  title: string;
  lead?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <main id="work" className="mx-auto w-full max-w-[1240px] px-4 py-2.5">
      <div className="mb-2 flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-3">
          <Heading title={title}>{title}</Heading>
          {lead && <p className="max-w-[80ch] text-faint">{lead}</p>}
        </div>
        {actions && <div className="no-print flex flex-wrap gap-2">{actions}</div>}
      </div>
      {children}
    </main>
  );
}

/**
 * Waits for the workspace, and shows what went wrong when it does not come. While the plan is blind and its
 * walks are not all in, stages see letters for names; `open` is for those that set up and keep the key.
 */
export function WithWorkspace({
  open = false,
  children,
}: {
  open?: boolean;
  children: (workspace: Ready) => ReactNode;
}) {
  const id = useComparisonId();
  const { comparison, overview, of, madeFrom, error } = useWorkspace(id, open);
  const shown = useMemo(
    () =>
      comparison && overview?.sealed ? { ...comparison, setup: seal(comparison.setup, id) } : comparison,
    [comparison, overview?.sealed, id],
  );
  if (error && !overview) return isShutOut(error) ? null : <Trouble error={error} />;
  if (!shown || !overview) return <Loading what="the comparison" />;
  const { sealed, rows, withheld } = overview;
  return (
    <>
      {sealed && (
        <p role="status" className="no-print bg-degraded px-4 py-1 text-white">
          Blind: products are letters until all planned walks are in; the key is sealed.
        </p>
      )}
      {withheld > 0 && (
        <p role="status" className="no-print bg-cover px-4 py-1">
          This device reads its own walks only. Others: {withheld}; here they count for the plan, not for
          results. Those stand on the machine that runs Urvek.
        </p>
      )}
      {children({ id, comparison: shown, walks: rows, of, madeFrom, sealed })}
    </>
  );
}

/** What a stage begins with; the rest it asks of the study. */
export interface Ready extends Pick<Workspace, 'of' | 'madeFrom'> {
  readonly id: string;
  readonly comparison: Comparison;
  /** Every walk in a line. */
  readonly walks: readonly WalkRow[];
  /** Names are letters here: nothing of the set-up may be saved from it. */
  readonly sealed: boolean;
}
