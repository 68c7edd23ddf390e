import { COMMON_CHECKS } from './commonChecks.ts';
import type { Kind } from './kind.ts';

export const remote: Kind = {
  id: 'remote',
  name: 'Remote or controller',
  watched: 'answers to presses',
  measured: ['hits out of presses'],
  words: { 5: 'all presses', 4: 'at least 90 %', 3: 'at least 50 %', 2: 'some', 1: 'none' },
  testSignal: 'ten presses a stand, two seconds apart; inert loads only, and an all-clear at the far end',
  claimCriterion: 'last usable',
  direction: 'mobile-to-fixed',
  judgedBy: 'figures',
  bothWays: false,
  checks: [{ id: 'inert', text: 'Nothing that moves, opens or fires is connected' }, ...COMMON_CHECKS],
};
