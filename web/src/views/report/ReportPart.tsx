import type { Comparison } from '@urvek/contract';
import type { Carried } from '@urvek/core';
import type { ShownSection } from '@urvek/draw';
import { memo } from 'react';
import { BlockView } from './BlockView.tsx';

/** A part of the report; drawn anew only where it is another. */
export const ReportPart = memo(function ReportPart({
  section,
  comparison,
  carried,
}: {
  section: ShownSection;
  comparison: Comparison | undefined;
  carried: Carried;
}) {
  return (
    <section id={`part-${section.id}`} aria-label={section.title} className="scroll-mt-2">
      <h2 className="border-b-2 border-ink pb-0.5">{section.title}</h2>
      <div className="mt-2 grid gap-2">
        {section.blocks.map((block, i) => (
          <BlockView key={block.kind === 'paragraph' ? block.id : i} {...{ block, comparison, carried }} />
        ))}
      </div>
    </section>
  );
});
