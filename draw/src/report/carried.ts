import type { Carried } from '@urvek/core';
import type { JudgementView } from '@urvek/study';
import type { ShownDocument } from './document.ts';

/** What the walks of a report carry, besides its own words. */
export type WalksCarry = Omit<Carried, 'made'>;

export function walksCarry({ ranges, verdicts }: JudgementView): WalksCarry {
  const walked = ranges.flatMap((r) => r.summary.fitted);
  return {
    walks: walked.reduce((sum, c) => sum + c.walks, 0),
    allHeld: walked.every((c) => c.failures === 0),
    claimsUpTo: verdicts.some((v) => v.claim.upTo),
    farthestM: Math.max(
      0,
      ...ranges.flatMap((r) => r.walks.flatMap((w) => [w.interval?.heldM ?? 0, w.interval?.failedM ?? 0])),
    ),
  };
}

/** All that the report itself says: words of the writer's own are held against it. */
export const wordsOf = ({ sections }: ShownDocument): string[] =>
  sections.flatMap((s) =>
    s.blocks.flatMap((b) =>
      b.kind === 'paragraph'
        ? [b.made]
        : b.kind === 'list'
          ? b.items.map((i) => i.made)
          : b.kind === 'table'
            ? b.rows.flatMap((r) => r.cells)
            : [b.caption.made],
    ),
  );
