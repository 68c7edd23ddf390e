/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aClaimIsSupportedRefutedUndecided =
  'A claim is supported, refuted, undecided or not tested, with the reason and the next step that would decide it.';
export const aModelUnderTestOneSample =
  'A model under test; one sample of it. Two units of a model can differ.';
export const aMomentAtWhichThePlace = 'A moment at which the place is known: a post, a figure on the wheel.';
export const aProductAsItWasSet =
  'A product as it was set up: which unit at which end, settings, antenna, heights, batteries, how it was carried.';
export const aRouteAwayFromTheFixed =
  'A route away from the fixed end: legs in the open, in trees or behind something, obstructions, checkpoints.';
export const aStopAtOnePlaceAll = 'A stop at one place; all that is logged there belongs to it.';
export const aStretchInWhichItIs = 'A stretch in which it is lost, with a start and a length.';
export const anOpenPostIsAWalk = 'An open post is a walk to make, a full one is made.';
export const failureWithoutAPlace = 'failure without a place';
export const fixedEndMobileEnd = 'fixed end, mobile end';
export const fromSettingARigUpTo =
  'From setting a rig up to taking it down: walks of one day and one set-up.';
export const grade1NothingComesThrough = 'Grade 1: nothing comes through.';
export const grade3Or2 = 'Grade 3 or 2.';
export const grade5Or4 = 'Grade 5 or 4.';
export const howMuchWalksOfOneRig = 'How much walks of one rig on one path differ from each other.';
export const itHeldAtTheNearEnd =
  'It held at the near end and failed at the far end; the change lies in between.';
export const nobodyEnteredItNoUsualValue = 'Nobody entered it. No usual value is put in its place.';
export const notStated = 'not stated';
export const oneQuestionWithItsProductsPaths =
  'One question, with its products, paths, plan, walks and findings.';
export const oneWayOfOneRigAlong = 'One way of one rig along one path: out, back, or out and back.';
export const oneWordOneMeaningOnEvery = 'One word, one meaning, on every stage and in every file.';
export const plannedWalk = 'planned walk';
export const playedBySimulatedGearARehearsal =
  'Played by simulated gear: a rehearsal, and never a result of real gear.';
export const productUnit = 'product, unit';
export const qualityFrom5CleanTo1 =
  'Quality from 5, clean, to 1, nothing; the steps have their own words for each kind of product.';
export const readingSet = 'reading set';
export const smallestDifferenceThatMatters = 'smallest difference that matters';
export const somethingFailedAndNobodyKnowsWhere =
  'Something failed, and nobody knows where. It counts as a failure, never as having held.';
export const theEndThatStaysAndThe = 'The end that stays, and the end that is carried.';
export const theLinkChangesItsBandCell = 'The link changes its band, cell or access point while one walks.';
export const theMedianOverTheWalksWith =
  'The median over the walks, with the interval that is meant to hold the true one in 95 of 100 comparisons.';
export const thePathEndedFirstSoIt =
  'The path ended first, so it is “more than”; or it failed at the first point, “less than”.';
export const theRatioOfDistancesThatThe = 'The ratio of distances that the plan wants to tell apart.';
export const theStraightLineBetweenTheTwo =
  'The straight line between the two ends; ranges are stated in it. Distance travelled is along the path.';
export const weakPoint = 'weak point';
export const whatAResultRestsOnThat =
  'What a result rests on that a reader may doubt: few walks, wide brackets, eye-measured distances.';
export const whatAUseAsksForSo = 'What a use asks for: so far, or so fast, in the open or behind something.';
export const whatInstrumentsShowedAtAStand =
  'What instruments showed at a stand: speed each way, round trip, loss, level.';
export const whatIsCompared = 'What is compared';
export const whatIsFound = 'What is found';
export const whatIsLogged = 'What is logged';
export const whatTheMakerSaysOrPeople =
  'What the maker says or people repeat: a distance, a ratio, a speed or a delay, and for which surroundings.';
export const whatUrvekCallsThings = 'What Urvek calls things';
export const whereAFigureComesFromMeasured =
  'Where a figure comes from: measured, derived, estimated by eye, quoted, or from memory.';
export const whereOneWalks = 'Where one walks';
export const whichRangeIsMeantFirstArtefact =
  'Which range is meant: first artefact, first unusable, first dropout, last usable, lost; on the ' +
  'way back, where it came back.';
