import * as yup from 'yup';
import type { WalkEvent } from '@urvek/core';
import { compile } from './compile.ts';
import { checkTexts } from './text.ts';

export const WALK_VARIANTS = ['plain', 'baseline', 'ends swapped'] as const;
export type WalkVariant = (typeof WALK_VARIANTS)[number];

/** What a walk is a walk of; the rest is in its log. */
export const walkHeaderSchema = yup
  .object({
    id: yup.string().uuid().required(),
    comparisonId: yup.string().uuid().required(),
    productId: yup.string().required().max(64),
    rigId: yup.string().required().max(64),
    pathId: yup.string().required().max(64),
    /** Milliseconds since 1970, by the device that began it. */
    startedMs: yup.number().integer().min(-8.64e15).max(8.64e15).required(),
    /** Nobody knows when: the time only orders. */
    undated: yup.boolean(),
    /** Which outing it belongs to, where that is not its day. */
    outing: yup.string().max(60),
    /**
     * The place in the plan that it fills; absent for a walk outside of it. Walks side by side share a pair.
     */
    slot: yup
      .object({
        round: yup.number().integer().min(0).required(),
        place: yup.number().integer().min(0).required(),
        variant: yup.string().oneOf(WALK_VARIANTS).required(),
        pair: yup.string().max(120),
      })
      .noUnknown()
      .default(undefined)
      .optional(),
  })
  .noUnknown();

export type WalkHeader = yup.InferType<typeof walkHeaderSchema>;

const surelyHeader = compile(walkHeaderSchema);

/**
 * Reads a header: by the compiled rules where they are enough, by the schema where they are not, which says what is
 * wrong.
 * @throws yup.ValidationError naming the field.
 */
export function validateHeader(value: unknown): WalkHeader {
  checkTexts(value);
  return value !== undefined && surelyHeader(value)
    ? (value as WalkHeader)
    : walkHeaderSchema.validateSync(value, { strict: true });
}

/** A walk as the base holds it. */
export interface StoredWalk {
  readonly header: WalkHeader;
  readonly log: readonly WalkEvent[];
}

/** How much of one device's part of a log the base holds: nothing of those it does not name. */
export interface HeldLog {
  readonly walkId: string;
  readonly deviceId: string;
  readonly highest: number;
  readonly count: number;
}

export interface BatchAccepted {
  readonly stored: number;
  readonly alreadyHere: number;
}
