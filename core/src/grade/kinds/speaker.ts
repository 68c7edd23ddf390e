import { COMMON_CHECKS } from './commonChecks.ts';
import type { Kind } from './kind.ts';

export const speaker: Kind = {
  id: 'speaker',
  name: 'Speaker',
  watched: 'sound',
  measured: ['grade of the sound', 'dropouts'],
  words: { 5: 'clean', 4: 'ticks', 3: 'all words clear', 2: 'voice present, words lost', 1: 'silence' },
  testSignal: 'speech at conversation level; loud tones only with the neighbours told and ears away',
  claimCriterion: 'last usable',
  direction: 'mobile-to-fixed',
  judgedBy: 'sense',
  bothWays: false,
  checks: [{ id: 'sides', text: 'Every side of a pair is heard' }, ...COMMON_CHECKS],
};
