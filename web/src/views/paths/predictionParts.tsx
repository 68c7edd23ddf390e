import type { PathLink, PathPrediction } from '@urvek/core';

/** One rig on the path with what the physics expects of it. */
export interface Predicted {
  readonly id: string;
  readonly name: string;
  readonly link: PathLink;
  readonly prediction: PathPrediction;
}
