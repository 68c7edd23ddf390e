import { COMMON_CHECKS } from './commonChecks.ts';
import type { Kind } from './kind.ts';

export const microphone: Kind = {
  id: 'microphone',
  name: 'Microphone',
  watched: 'sound',
  measured: ['grade of the sound', 'dropouts'],
  words: { 5: 'clean', 4: 'ticks', 3: 'all words clear', 2: 'voice present, words lost', 1: 'silence' },
  testSignal: 'read a text aloud without a pause, at one level',
  claimCriterion: 'first dropout',
  direction: 'mobile-to-fixed',
  judgedBy: 'sense',
  bothWays: false,
  checks: [{ id: 'plugs', text: 'Plugs seated: every channel is heard' }, ...COMMON_CHECKS],
};
