import type { Block, ReportDocument, ShownBlock, ShownDocument, ShownSentence, Worded } from './document.ts';

/** A report as a page shows it: what its sentences rest on, which of years of walks is a third of it, stays away. */
export const shownOf = (document: ReportDocument): ShownDocument => ({
  ...document,
  sections: document.sections.map((s) => ({ ...s, blocks: s.blocks.map(shownBlock) })),
});

function shownBlock(block: Block): ShownBlock {
  switch (block.kind) {
    case 'paragraph':
      return { kind: 'paragraph', ...shownSentence(block) };
    case 'list':
      return { ...block, items: block.items.map(shownSentence) };
    case 'figure':
      return { ...block, caption: shownSentence(block.caption) };
    case 'table':
      return { ...block, rows: block.rows.map(({ cells }) => ({ cells })) };
  }
}

const shownSentence = ({ id, text, made, was }: Worded): ShownSentence => ({
  ...{ id, text, made },
  ...(was === undefined ? {} : { was }),
});
