/** Whether anything of a comparison changed: its set-up, its walks, their logs, and what the asker may read of them. */
export interface ComparisonState {
  /** Another one when anything of it is another. */
  readonly tag: string;
  /** The base answers what stages ask: there is more of it than a device should have to fetch first. */
  readonly answers: boolean;
}
