import type { Setup } from '@urvek/contract';
import { plannedWalks, planState, type Walked } from './plannedWalks.ts';

export const STAGES = ['kit', 'paths', 'plan', 'walk', 'trace', 'ranges', 'verdict', 'report'] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_NAME: Readonly<Record<Stage, string>> = {
  kit: 'Kit',
  paths: 'Paths',
  plan: 'Plan',
  walk: 'Walk',
  trace: 'Trace',
  ranges: 'Ranges',
  verdict: 'Verdict',
  report: 'Report',
};

export interface StageState {
  readonly stage: Stage;
  readonly done: boolean;
  /** What is there, or what is missing. */
  readonly text: string;
}

const count = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/**
 * Where a comparison stands, stage by stage. `outcomes`: walks that say something by the plan's criterion.
 */
export function stageStates(setup: Setup, walks: readonly Walked[], outcomes: number): StageState[] {
  const planned = plannedWalks(setup).length;
  const filled = planState(setup, walks).filter((s) => s.walk).length;
  const finished = walks.filter((w) => w.endReason && !w.withheld);
  const claims = setup.products.reduce((sum, p) => sum + p.claims.length, 0);
  return [
    {
      stage: 'kit',
      done: setup.products.length >= 2,
      text:
        setup.products.length === 0
          ? 'no product yet'
          : setup.products.length === 1
            ? 'one product: add another'
            : count(setup.products.length, 'product'),
    },
    {
      stage: 'paths',
      done: setup.paths.length > 0,
      text: setup.paths.length === 0 ? 'no path yet' : count(setup.paths.length, 'path'),
    },
    {
      stage: 'plan',
      done: planned > 0,
      text: planned === 0 ? 'nothing planned' : `${count(planned, 'walk')} planned`,
    },
    {
      stage: 'walk',
      done: planned > 0 && filled === planned,
      text: planned === 0 ? 'plan first' : `${filled} of ${planned} walked`,
    },
    {
      stage: 'trace',
      done: finished.length > 0,
      text: finished.length === 0 ? 'no walk yet' : `${count(finished.length, 'log')}`,
    },
    {
      stage: 'ranges',
      done: outcomes > 0,
      text: outcomes === 0 ? 'no outcome yet' : `${count(outcomes, 'outcome')}`,
    },
    {
      stage: 'verdict',
      done: claims > 0 && outcomes > 0,
      text: claims === 0 ? 'no claim entered' : count(claims, 'claim'),
    },
    {
      stage: 'report',
      done: outcomes > 0,
      text: outcomes === 0 ? 'nothing to publish' : 'ready to print',
    },
  ];
}

/** The first stage that still wants something. */
export const nextStage = (states: readonly StageState[]): StageState | undefined =>
  states.find((s) => !s.done);
