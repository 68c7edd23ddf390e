export const JOB_STATES = ['waiting', 'working', 'done', 'failed', 'cancelled'] as const;

/** Long work that was asked of the base. */
export interface Job {
  readonly id: string;
  readonly state: (typeof JOB_STATES)[number];
  /** Share done, 0 to 1. */
  readonly progress: number;
  /** How often it was begun: again, when who did it was killed. */
  readonly attempts: number;
  /** Why it failed. */
  readonly trouble?: string | undefined;
}
