import { COMMON_CHECKS } from './commonChecks.ts';
import type { Kind } from './kind.ts';

export const twoWayRadio: Kind = {
  id: 'two-way-radio',
  name: 'Two-way radio',
  watched: 'readability, each way',
  measured: ['readability each way', 'tries until read back'],
  words: {
    5: 'perfectly readable',
    4: 'readable with slight noise',
    3: 'readable with effort',
    2: 'now and then a word',
    1: 'unreadable',
  },
  testSignal: 'fresh words or figures, read back by the other end',
  claimCriterion: 'last usable',
  direction: 'mobile-to-fixed',
  judgedBy: 'sense',
  bothWays: true,
  checks: [{ id: 'squelch', text: 'Squelch set alike, and opened by the other end' }, ...COMMON_CHECKS],
};
