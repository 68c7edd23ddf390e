import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

/** Who knows which product plays hears what they expect. */
export const judgedKnowing: AuditRule = {
  id: 'knowing',
  title: phrases.notJudgedBlind,
  find: ({ products, judgedBy, blind, kindName }) => {
    const walked = products.filter((p) => p.walks.length > 0);
    return judgedBy === 'sense' && !blind && walked.length > 1
      ? [
          {
            products: walked.map((p) => p.id),
            what: phrases.judgedByEarOrEyeWith(kindName),
            sizeDb: undefined,
            size: NOT_KNOWN,
            mend: phrases.planItBlindLettersForNames,
          },
        ]
      : [];
  },
};
