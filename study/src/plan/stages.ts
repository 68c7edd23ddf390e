import type { Setup } from '@urvek/contract';
import { plannedRigs, plannedPaths, plannedWalks, planState, type Walked } from './plannedWalks.ts';
import * as phrases from './phrases.ts';

export const STAGES = ['kit', 'paths', 'plan', 'walk', 'trace', 'ranges', 'verdict', 'report'] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_NAME: Readonly<Record<Stage, string>> = {
  kit: phrases.kit,
  paths: phrases.paths,
  plan: phrases.plan,
  walk: phrases.walk,
  trace: phrases.trace,
  ranges: phrases.ranges,
  verdict: phrases.verdict,
  report: phrases.report,
};

/** `stale`: it was done, and what it rests on has changed since. */
export type StageMark = 'done' | 'part' | 'missing' | 'stale';

export interface StageState {
  readonly stage: Stage;
  readonly mark: StageMark;
  /** What is there, or what is missing. */
  readonly text: string;
}

const count = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/**
 * Where a comparison stands, stage by stage. `outcomes`: walks that say something by the plan's criterion.
 */
export function stageStates(setup: Setup, walks: readonly Walked[], outcomes: number): StageState[] {
  const finished = walks.filter((w) => w.endReason && !w.withheld);
  return [
    kitState(setup),
    setup.paths.length === 0
      ? { stage: 'paths', mark: 'missing', text: phrases.noPathYet }
      : { stage: 'paths', mark: 'done', text: count(setup.paths.length, 'path') },
    ...planAndWalk(setup, walks),
    traceState(walks, finished.length),
    outcomes === 0
      ? { stage: 'ranges', mark: 'missing', text: phrases.noOutcomeYet }
      : { stage: 'ranges', mark: 'done', text: count(outcomes, 'outcome') },
    verdictState(setup, outcomes),
    reportState(setup, finished, outcomes),
  ];
}

function kitState({ products }: Setup): StageState {
  const [mark, text] =
    products.length === 0
      ? (['missing', 'no product yet'] as const)
      : products.length === 1
        ? (['part', 'one product: add another'] as const)
        : (['done', count(products.length, 'product')] as const);
  return { stage: 'kit', mark, text };
}

/** A walk of a rig or a path that the plan has no more: the plan was changed after it. */
function outsideOf(setup: Setup, walks: readonly Walked[]): number {
  const rigs = new Set(plannedRigs(setup).map((r) => r.rig.id));
  const paths = new Set(plannedPaths(setup).map((p) => p.id));
  return walks.filter(
    (w) =>
      w.endReason && w.leftOut === undefined && !(rigs.has(w.header.rigId) && paths.has(w.header.pathId)),
  ).length;
}

function planAndWalk(setup: Setup, walks: readonly Walked[]): StageState[] {
  const planned = plannedWalks(setup).length;
  const filled = planState(setup, walks).filter((s) => s.walk).length;
  const outside = planned === 0 ? 0 : outsideOf(setup, walks);
  const plan: StageState =
    planned === 0
      ? { stage: 'plan', mark: 'missing', text: phrases.nothingPlanned }
      : outside > 0
        ? { stage: 'plan', mark: 'stale', text: phrases.outsideIt(count(outside, 'walk')) }
        : { stage: 'plan', mark: 'done', text: phrases.planned(count(planned, 'walk')) };
  const walk: StageState =
    planned === 0
      ? { stage: 'walk', mark: 'missing', text: phrases.planFirst }
      : {
          stage: 'walk',
          mark: filled === planned ? 'done' : filled > 0 ? 'part' : 'missing',
          text: phrases.ofWalked(filled, planned),
        };
  return [plan, walk];
}

function traceState(walks: readonly Walked[], finished: number): StageState {
  const underWay = walks.filter((w) => !w.endReason && !w.withheld).length;
  if (finished === 0) return { stage: 'trace', mark: 'missing', text: phrases.noWalkYet };
  return underWay > 0
    ? { stage: 'trace', mark: 'part', text: phrases.notEnded(count(finished, 'log'), underWay) }
    : { stage: 'trace', mark: 'done', text: count(finished, 'log') };
}

function verdictState({ products, needs = [] }: Setup, outcomes: number): StageState {
  const claims = products.reduce((sum, p) => sum + p.claims.length, 0);
  if (claims + needs.length === 0) return { stage: 'verdict', mark: 'missing', text: phrases.noClaimEntered };
  const text = [
    claims === 0 ? undefined : count(claims, 'claim'),
    needs.length === 0 ? undefined : count(needs.length, 'need'),
  ];
  return {
    stage: 'verdict',
    mark: outcomes > 0 ? 'done' : 'part',
    text: text.filter((t) => t !== undefined).join(', '),
  };
}

function reportState({ report }: Setup, finished: readonly Walked[], outcomes: number): StageState {
  if (outcomes === 0) return { stage: 'report', mark: 'missing', text: phrases.nothingToPublish };
  const last = Math.max(0, ...finished.map((w) => w.header.startedMs));
  const old = (report?.wording ?? []).filter((w) => w.atMs !== undefined && w.atMs < last).length;
  return old > 0
    ? { stage: 'report', mark: 'stale', text: phrases.wordedBeforeTheLastWalk }
    : { stage: 'report', mark: 'done', text: phrases.readyToPrint };
}

/** The first stage that still wants something. */
export const nextStage = (states: readonly StageState[]): StageState | undefined =>
  states.find((s) => s.mark === 'missing' || s.mark === 'part') ?? states.find((s) => s.mark === 'stale');
