import type { DrawnWord } from '@urvek/draw';

/** A word of the instrument: one meaning, on every stage. */
export interface Word {
  readonly word: string;
  readonly means: string;
  readonly picture?: DrawnWord;
}

export const WORDS: readonly { readonly about: string; readonly words: readonly Word[] }[] = [
  {
    about: 'What is compared',
    words: [
      { word: 'comparison', means: 'One question, with its products, paths, plan, walks and findings.' },
      {
        word: 'product, unit',
        means: 'A model under test; one sample of it. Two units of a model can differ.',
      },
      {
        word: 'rig',
        means:
          'A product as it was set up: which unit at which end, settings, antenna, heights, batteries, how it was carried.',
      },
      {
        word: 'claim',
        means:
          'What the maker says or people repeat: a distance, a ratio, a speed or a delay, and for which surroundings.',
        picture: 'claim',
      },
      {
        word: 'need',
        means: 'What a use asks for: so far, or so fast, in the open or behind something.',
        picture: 'need',
      },
    ],
  },
  {
    about: 'Where one walks',
    words: [
      {
        word: 'path',
        means:
          'A route away from the fixed end: legs in the open, in trees or behind something, obstructions, checkpoints.',
        picture: 'path',
      },
      {
        word: 'fixed end, mobile end',
        means: 'The end that stays, and the end that is carried.',
        picture: 'fixed end',
      },
      {
        word: 'separation',
        means:
          'The straight line between the two ends; ranges are stated in it. Distance travelled is along the path.',
        picture: 'separation',
      },
      { word: 'outing', means: 'From setting a rig up to taking it down: walks of one day and one set-up.' },
    ],
  },
  {
    about: 'What is logged',
    words: [
      {
        word: 'walk',
        means: 'One way of one rig along one path: out, back, or out and back.',
        picture: 'walk',
      },
      {
        word: 'mark',
        means: 'A moment at which the place is known: a post, a figure on the wheel.',
        picture: 'mark',
      },
      {
        word: 'stand',
        means: 'A stop at one place; all that is logged there belongs to it.',
        picture: 'stand',
      },
      {
        word: 'grade',
        means:
          'Quality from 5, clean, to 1, nothing; the steps have their own words for each kind of product.',
      },
      {
        word: 'planned walk',
        means: 'An open post is a walk to make, a full one is made.',
        picture: 'planned',
      },
      { word: 'clear', means: 'Grade 5 or 4.', picture: 'clear' },
      { word: 'degraded', means: 'Grade 3 or 2.', picture: 'degraded' },
      { word: 'lost', means: 'Grade 1: nothing comes through.', picture: 'lost' },
      {
        word: 'dropout',
        means: 'A stretch in which it is lost, with a start and a length.',
        picture: 'dropout',
      },
      { word: 'hand-over', means: 'The link changes its band, cell or access point while one walks.' },
      {
        word: 'reading set',
        means: 'What instruments showed at a stand: speed each way, round trip, loss, level.',
      },
      {
        word: 'failure without a place',
        means: 'Something failed, and nobody knows where. It counts as a failure, never as having held.',
      },
      { word: 'not stated', means: 'Nobody entered it. No usual value is put in its place.' },
      { word: 'simulated', means: 'Played by simulated gear: a rehearsal, and never a result of real gear.' },
    ],
  },
  {
    about: 'What is found',
    words: [
      {
        word: 'criterion',
        means:
          'Which range is meant: first artefact, first unusable, first dropout, last usable, lost; on the way back, where it came back.',
      },
      {
        word: 'bracket',
        means: 'It held at the near end and failed at the far end; the change lies in between.',
        picture: 'bracket',
      },
      {
        word: 'bound',
        means: 'The path ended first, so it is “more than”; or it failed at the first point, “less than”.',
        picture: 'bound',
      },
      {
        word: 'estimate',
        means:
          'The median over the walks, with the interval that is meant to hold the true one in 95 of 100 comparisons.',
        picture: 'estimate',
      },
      { word: 'walk-to-walk spread', means: 'How much walks of one rig on one path differ from each other.' },
      {
        word: 'smallest difference that matters',
        means: 'The ratio of distances that the plan wants to tell apart.',
      },
      {
        word: 'weak point',
        means:
          'What a result rests on that a reader may doubt: few walks, wide brackets, eye-measured distances.',
      },
      {
        word: 'verdict',
        means:
          'A claim is supported, refuted, undecided or not tested, with the reason and the next step that would decide it.',
      },
      {
        word: 'provenance',
        means: 'Where a figure comes from: measured, derived, estimated by eye, quoted, or from memory.',
      },
    ],
  },
];

/** The place of a word on the page of words. */
export const anchorOfWord = (word: string): string => `word-${word.replace(/[^a-z]+/g, '-')}`;
