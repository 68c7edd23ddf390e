/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aMarkThatMovesWhileThe = 'A mark that moves while the link holds';
export const aPictureThatMoves = 'a picture that moves';
export const aTune = 'a tune';
export const aVoice = 'a voice';
export const aVoiceAndAMovingMark =
  'A voice and a moving mark drop out now and then. Press as soon as you notice; Urvek learns how ' +
  'late that is, and corrects positions by it.';
export const aboutS = (n: number, round: number): string => `${n}, about ${round} s`;
export const afterADropoutBegins = ' after a dropout begins, ± ';
export const and = (person: string, person2: string): string => `${person} and ${person2}: `;
export const answeredMissedPressedForNothing = (
  delaysSCount: number,
  missed: number,
  falsePresses: number,
): string => `Answered ${delaysSCount}, missed ${missed}, pressed for nothing ${falsePresses}.`;
export const atWalkingPaceThatIs = '. At walking pace that is ';
export const beginTheLesson = 'Begin the lesson';
export const by = (share: string): string => `by ${share}`;
export const clipOfGradeItByA = (gradedCount: number, levelsCount: number): string =>
  `Clip ${gradedCount} of ${levelsCount}: grade it, by a press or the keys 1 to 5`;
export const clipsWithLossesOfKnownSize =
  'Clips of a voice, a tune or a picture with losses of known size, graded blind: where you set ' +
  'each grade, and how steadily.';
export const dOrSpace = 'D or space';
export const dropouts = 'Dropouts';
export const forgetIt = 'Forget it';
export const fromAnswers = (answers: number): string => `, from ${answers} answers. `;
export const grade = 'Grade';
export const gradeClipsAboutTwoMinutes = (lEVELSCount: number): string =>
  `Grade ${lEVELSCount} clips, about two minutes`;
export const gradeTrainer = 'Grade trainer';
export const gradersOf = (clips: string): string => `Graded on this device: ${clips}`;
export const gradesApart = (wobble: string): string => `${wobble} grades apart`;
export const grading = 'Grading';
export const hearItAgain = 'Hear it again';
export const iListenByTheDevicesOwn =
  'I listen by the device’s own speaker or by wire. Wireless headphones delay the sound by an ' +
  'unknown time: they will not do.';
export const inForceOnThisDevice = 'In force on this device: ';
export const isUsed = ' is used.';
export const itDroppedOut = 'It dropped out';
export const notReached = 'not reached';
export const nothingIsLearnedYetTheUsual = 'Nothing is learned yet: the usual ';
export const onceOnly = 'once only';
export const oneGradeThroughoutNothingTellsThem = 'one grade throughout: nothing tells them from chance.';
export const overClips1IsTheSame = (graded: number): string =>
  ` over ${graded} clips; 1 is the same grades throughout, 0 what chance would give.`;
export const positionsAreCorrectedByIt = '; positions are corrected by it.';
export const pressAsItGoesItsComing = 'Press as it goes; its coming back need not be pressed.';
export const reactionTrainer = 'Reaction trainer';
export const sameClipTwice = 'same clip twice';
export const seeItAgain = 'See it again';
export const shareLostGradedBelow = 'Share lost, graded below';
export const soundComesOutMsLateAs = (lateMs: string): string =>
  `Sound comes out ${lateMs} ms late, as over wireless headphones. Nothing was changed. Use the ` +
  'device’s speaker or a wire, and begin again.';
export const stopWithoutKeeping = 'Stop without keeping';
export const thePictureToGrade = 'The picture to grade';
export const thisBrowserPlaysNoSoundNothing =
  'This browser plays no sound. Nothing was kept. Try another one.';
export const to = (round: number, share: string): string => `${round} to ${share}`;
export const to2 = (interval95: string, interval952: string): string => ` (${interval95} to ${interval952})`;
export const tooFewAnswersAtLeastAre = (leastAnswers: number): string =>
  `Too few answers: at least ${leastAnswers} are needed. What was in force stays.`;
export const walksKeepTheValueThatThey = ' Walks keep the value that they were made with.';
export const weightedKappa = 'weighted kappa ';
export const whatIsGraded = 'What is graded';
export const whatWasLearned = 'What was learned';
export const whereEachSetsTheGradesOf = (clips: string): string => `Where each sets the grades of ${clips}`;
export const whoGrades = 'Who grades';
export const youPress = 'You press ';
