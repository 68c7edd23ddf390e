import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';

/** A phrase that the listener knows is heard long after words are lost. */
export const knownPhrase: AuditRule = {
  id: 'known-phrase',
  title: 'The listener knew the phrase',
  find: ({ products, bothWays, judgedBy }) =>
    products.flatMap((p) => {
      const called = p.walks.filter((w) => w.calls > 0);
      return bothWays && judgedBy === 'sense' && called.length > 0 && called.every((w) => w.readBacks === 0)
        ? [
            {
              products: [p.id],
              what: `Calls with ${p.name} were graded and nothing was read back: the listener may have known what was said`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: 'Read back fresh words at the points about the limit.',
            },
          ]
        : [];
    }),
};
