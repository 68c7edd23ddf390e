import { countOf } from '../quantity/plural.ts';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aJumpOfTimesTheUsual = (jump: string): string => `a jump of ${jump} times the usual`;
export const besideTheTone = 'beside the tone';
export const countedFrames = (n: number): string => countOf(n, 'frame');
export const dbBelowWhatWasExpected = (belowDb: string): string => `${belowDb} dB below what was expected`;
export const downToDbOfFullScale = (quietestDb: string): string => `down to ${quietestDb} dB of full scale`;
export const framesThatChangeByAtMost = (frames: number, part: string): string =>
  `${frames} frames that change by at most ${part} % of the usual`;
export const isDbBelowTheOther = (either: string, deepest: string): string =>
  `${either} is ${deepest} dB below the other`;
export const itMovedTimesAsFarAsUsual = (times: string): string =>
  `it moved ${times} times as far as usual, and then went on as before`;
export const itMovesSlowly = 'it moves, slowly';
export const itShowsACodeThatIsNew = 'it shows a code that is new';
export const lackByTheTimesOfThe = (frames: string): string => `${frames} missing by the times of the others`;
export const moreThan60DbBelowWhat = 'more than 60 dB below what was expected';
export const msPlayedTimes = (part: string, run: string): string => `${part} ms played ${run} times`;
export const noFrameForWhereOneComes = (seconds: string, usualMs: string): string =>
  `no frame for ${seconds} s, where one comes every ${usualMs} ms`;
export const noiseDbAboveWhatWasUsual = (mostDb: string, where: string): string =>
  `noise ${mostDb} dB above what was usual ${where}`;
export const onceMore = (countedFrames: string): string => `${countedFrames} once more`;
export const percentOfThePictureFilledWith = (part: number): string =>
  `${part} % of the picture filled with one grey at once`;
export const phaseJumpedBy = (deg: string): string =>
  `the phase jumped by ${deg} degrees: something was left out or played twice`;
export const samplesAndMoreAtOfFull = (clippedSamples: number, x: string): string =>
  `${clippedSamples} samples and more at ${x} of full scale`;
export const whereTheSoundIsQuietest = 'where the sound is quietest';
export const whosePercentCameLate = (countedFrames: string, either: string, share: number): string =>
  `${countedFrames} whose ${either} ${share} % came late`;
