import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

/** A phrase that the listener knows is heard long after words are lost. */
export const knownPhrase: AuditRule = {
  id: 'known-phrase',
  title: phrases.theListenerKnewThePhrase,
  find: ({ products, bothWays, judgedBy }) =>
    products.flatMap((p) => {
      const called = p.walks.filter((w) => w.calls > 0);
      return bothWays && judgedBy === 'sense' && called.length > 0 && called.every((w) => w.readBacks === 0)
        ? [
            {
              products: [p.id],
              what: phrases.callsWithWereGradedAndNothing(p.name),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.readBackFreshWordsAtThe,
            },
          ]
        : [];
    }),
};
