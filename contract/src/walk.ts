import type { WalkEvent } from '@urvek/core';
import * as yup from 'yup';

/** What a walk is a walk of; the rest is in its log. */
export const walkHeaderSchema = yup.object({
  id: yup.string().uuid().required(),
  comparisonId: yup.string().uuid().required(),
  productId: yup.string().required().max(64),
  rigId: yup.string().required().max(64),
  pathId: yup.string().required().max(64),
  /** Milliseconds since 1970, by the device that began it. */
  startedMs: yup.number().integer().required(),
}).noUnknown();

export type WalkHeader = yup.InferType<typeof walkHeaderSchema>;

/** A walk as the base holds it. */
export interface StoredWalk {
  readonly header: WalkHeader;
  readonly log: readonly WalkEvent[];
}

export interface BatchAccepted {
  readonly stored: number;
  readonly alreadyHere: number;
}
