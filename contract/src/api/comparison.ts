import * as yup from 'yup';
import { name } from '../schemas/fields.ts';
import { setupSchema, type Setup } from '../schemas/setup.ts';

const comparisonHead = {
  title: name('Comparison'),
  question: yup.string().max(500).defined(),
};

export const newComparisonSchema = yup
  .object({ id: yup.string().uuid().required(), ...comparisonHead })
  .noUnknown();

/** A replacement of the whole set-up; `revision` is the one it was made from. */
export const comparisonUpdateSchema = yup
  .object({ ...comparisonHead, setup: setupSchema.required(), revision: yup.number().integer().required() })
  .noUnknown();

/** Sets a comparison aside, or, without a reason, takes it back. */
export const asideSchema = yup.object({ reason: yup.string().trim().min(1).max(500) }).noUnknown();

/** Where all that was there before is kept. */
export interface Removed {
  readonly backup: string;
}

export type NewComparison = yup.InferType<typeof newComparisonSchema>;
export type ComparisonUpdate = yup.InferType<typeof comparisonUpdateSchema>;

interface ComparisonHead {
  readonly id: string;
  readonly title: string;
  readonly question: string;
  /** Its walks come from simulated gear. */
  readonly demo: boolean;
  /** It was set aside: hidden, and nothing of it lost. */
  readonly aside?: { readonly reason: string; readonly atMs: number };
  readonly revision: number;
  readonly updatedAt: string;
}

export interface ComparisonSummary extends ComparisonHead {
  readonly products: readonly string[];
  readonly paths: readonly string[];
  readonly walksPlanned: number;
  readonly walksMade: number;
}

export interface Comparison extends ComparisonHead {
  readonly setup: Setup;
}

/** One change of a set-up: who made it, when, and what it was about. */
export interface Revision {
  readonly revision: number;
  /** Undefined: it was begun so, or nobody kept who it was. */
  readonly who?: string;
  readonly atMs: number;
  /** The things that it changed, in words; empty for the first that is kept. */
  readonly what: readonly string[];
}

/** A set-up as it was. */
export interface RevisedSetup extends Revision {
  readonly title: string;
  readonly question: string;
  readonly setup: Setup;
}
