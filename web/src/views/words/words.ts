import type { DrawnWord } from '@urvek/draw';
import * as phrases from './phrases.ts';

/** A word of the instrument: one meaning, on every stage. */
export interface Word {
  readonly word: string;
  readonly means: string;
  readonly picture?: DrawnWord;
}

export const WORDS: readonly { readonly about: string; readonly words: readonly Word[] }[] = [
  {
    about: phrases.whatIsCompared,
    words: [
      { word: 'comparison', means: phrases.oneQuestionWithItsProductsPaths },
      {
        word: phrases.productUnit,
        means: phrases.aModelUnderTestOneSample,
      },
      {
        word: 'rig',
        means: phrases.aProductAsItWasSet,
      },
      {
        word: 'claim',
        means: phrases.whatTheMakerSaysOrPeople,
        picture: 'claim',
      },
      {
        word: 'need',
        means: phrases.whatAUseAsksForSo,
        picture: 'need',
      },
    ],
  },
  {
    about: phrases.whereOneWalks,
    words: [
      {
        word: 'path',
        means: phrases.aRouteAwayFromTheFixed,
        picture: 'path',
      },
      {
        word: phrases.fixedEndMobileEnd,
        means: phrases.theEndThatStaysAndThe,
        picture: 'fixed end',
      },
      {
        word: 'separation',
        means: phrases.theStraightLineBetweenTheTwo,
        picture: 'separation',
      },
      { word: 'outing', means: phrases.fromSettingARigUpTo },
    ],
  },
  {
    about: phrases.whatIsLogged,
    words: [
      {
        word: 'walk',
        means: phrases.oneWayOfOneRigAlong,
        picture: 'walk',
      },
      {
        word: 'mark',
        means: phrases.aMomentAtWhichThePlace,
        picture: 'mark',
      },
      {
        word: 'stand',
        means: phrases.aStopAtOnePlaceAll,
        picture: 'stand',
      },
      {
        word: 'grade',
        means: phrases.qualityFrom5CleanTo1,
      },
      {
        word: phrases.plannedWalk,
        means: phrases.anOpenPostIsAWalk,
        picture: 'planned',
      },
      { word: 'clear', means: phrases.grade5Or4, picture: 'clear' },
      { word: 'degraded', means: phrases.grade3Or2, picture: 'degraded' },
      { word: 'lost', means: phrases.grade1NothingComesThrough, picture: 'lost' },
      {
        word: 'dropout',
        means: phrases.aStretchInWhichItIs,
        picture: 'dropout',
      },
      { word: 'hand-over', means: phrases.theLinkChangesItsBandCell },
      {
        word: phrases.readingSet,
        means: phrases.whatInstrumentsShowedAtAStand,
      },
      {
        word: phrases.failureWithoutAPlace,
        means: phrases.somethingFailedAndNobodyKnowsWhere,
      },
      { word: phrases.notStated, means: phrases.nobodyEnteredItNoUsualValue },
      { word: 'simulated', means: phrases.playedBySimulatedGearARehearsal },
    ],
  },
  {
    about: phrases.whatIsFound,
    words: [
      {
        word: 'criterion',
        means: phrases.whichRangeIsMeantFirstArtefact,
      },
      {
        word: 'bracket',
        means: phrases.itHeldAtTheNearEnd,
        picture: 'bracket',
      },
      {
        word: 'bound',
        means: phrases.thePathEndedFirstSoIt,
        picture: 'bound',
      },
      {
        word: 'estimate',
        means: phrases.theMedianOverTheWalksWith,
        picture: 'estimate',
      },
      { word: 'walk-to-walk spread', means: phrases.howMuchWalksOfOneRig },
      {
        word: phrases.smallestDifferenceThatMatters,
        means: phrases.theRatioOfDistancesThatThe,
      },
      {
        word: phrases.weakPoint,
        means: phrases.whatAResultRestsOnThat,
      },
      {
        word: 'verdict',
        means: phrases.aClaimIsSupportedRefutedUndecided,
      },
      {
        word: 'provenance',
        means: phrases.whereAFigureComesFromMeasured,
      },
    ],
  },
];

/** The place of a word on the page of words. */
export const anchorOfWord = (word: string): string => `word-${word.replace(/[^a-z]+/g, '-')}`;
