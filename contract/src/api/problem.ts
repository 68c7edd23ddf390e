/** Every error of the API: what happened, what was kept, what to do. */
export interface Problem {
  readonly code: 'invalid' | 'not-found' | 'gone' | 'conflict' | 'too-large' | 'refused' | 'failed';
  readonly what: string;
  readonly kept: string;
  readonly todo: string;
  /** Places in the batch that caused it. */
  readonly positions?: readonly number[];
}
