import type { ReportSettings } from '@urvek/contract';
import type { Block, MadeSection, ReportSection, Worded } from './document.ts';
import type { Rest, Sentence } from './sentence.ts';

type Wording = ReportSettings['wording'];

/** As the figures say it, or as it was worded anew. */
function worded(wording: Wording, id: string, made: string, rests: readonly Rest[]): Worded {
  const own = wording.find((w) => w.id === id);
  const was = own?.made === undefined || own.made === made ? {} : { was: own.made };
  return { id, made, text: own?.text ?? made, ...was, rests };
}

/**
 * Sentences of a section by what they rest on first, and counted: a sentence keeps its name while others come and go.
 * Where another has taken its place, what it was worded from tells.
 */
function namesIn(sectionId: string): (said: Sentence) => string {
  const counts = new Map<Rest, number>();
  return ({ rests }) => {
    const [first] = rests as readonly [Rest, ...Rest[]];
    const n = (counts.get(first) ?? 0) + 1;
    counts.set(first, n);
    return `${sectionId}/${first}/${n}`;
  };
}

/** Sections with the words that somebody gave them. */
export const wordSections = (sections: readonly MadeSection[], wording: Wording): ReportSection[] =>
  sections.map((section) => {
    const nameOf = namesIn(section.id);
    return {
      ...section,
      blocks: section.blocks.map((block): Block => {
        switch (block.kind) {
          case 'paragraph':
            return {
              kind: 'paragraph',
              ...worded(wording, block.id, block.said.text, block.said.rests),
            };
          case 'list':
            return {
              kind: 'list',
              items: block.items.map((said) => worded(wording, nameOf(said), said.text, said.rests)),
            };
          case 'figure':
            return { ...block, caption: worded(wording, `caption/${block.name}`, block.caption, []) };
          case 'table':
            return block;
        }
      }),
    };
  });
