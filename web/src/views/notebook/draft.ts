import {
  DISTANCE_METHODS,
  GRADES,
  KINDS,
  LENGTH_UNITS,
  type DistanceMethod,
  type LengthUnit,
  type Saying,
} from '@urvek/core';
import { COLUMNS, type Column } from '@urvek/study';
import type { Cells } from './gridState.ts';

/** How what is written is to be read; absent: not stated. */
export interface Reading {
  readonly unit?: LengthUnit;
  readonly method?: DistanceMethod;
  readonly kindId?: string;
}

/** What was written and not taken yet; it stays on this device. */
export interface Draft {
  readonly rows: readonly Cells[];
  readonly reading: Reading;
  /** What words stand for, where that was changed here; absent: as the comparison has it. */
  readonly sayings?: readonly Saying[];
}

const NONE: Draft = { rows: [], reading: {} };

const keyOf = (comparisonId: string | undefined): string => `urvek.notebook.${comparisonId ?? 'new'}`;

export function keptDraft(comparisonId: string | undefined): Draft {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(comparisonId)) ?? 'null') as {
      rows?: unknown;
      reading?: Partial<Record<keyof Reading, unknown>>;
      sayings?: unknown;
    } | null;
    if (!kept || !Array.isArray(kept.rows)) return NONE;
    const { unit, method, kindId } = kept.reading ?? {};
    return {
      rows: kept.rows.map((row: unknown) =>
        Object.fromEntries(
          Object.entries((row ?? {}) as object).filter(
            ([c, v]) => COLUMNS.includes(c as Column) && typeof v === 'string',
          ),
        ),
      ),
      reading: readingOf(unit, method, kindId),
      ...(Array.isArray(kept.sayings) ? { sayings: kept.sayings.filter(isSaying) } : {}),
    };
  } catch {
    return NONE;
  }
}

const isSaying = (kept: unknown): kept is Saying => {
  const { words, grade } = (kept ?? {}) as Partial<Saying>;
  return typeof words === 'string' && GRADES.some((g) => g === grade);
};

/** Of what is chosen, what there is. */
export function readingOf(unit: unknown, method: unknown, kindId: unknown): Reading {
  const found = {
    unit: LENGTH_UNITS.find((u) => u === unit),
    method: DISTANCE_METHODS.find((m) => m === method),
    kindId: KINDS.find((k) => k.id === kindId)?.id,
  };
  return Object.fromEntries(Object.entries(found).filter(([, v]) => v !== undefined));
}

export function keepDraft(comparisonId: string | undefined, draft: Draft): void {
  try {
    if (draft.rows.length === 0 && !draft.sayings) localStorage.removeItem(keyOf(comparisonId));
    else localStorage.setItem(keyOf(comparisonId), JSON.stringify(draft));
  } catch {
    // A device that keeps nothing keeps no draft.
  }
}
