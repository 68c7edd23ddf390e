import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const atTheFixedEnd = 'at the fixed end';
export const countedEntries = (n: number): string => countOf(n, 'entry', 'entries');
export const fromHowFarDoAnswerA = (all: string): string => `From how far do ${all} answer a press?`;
export const fromHowFarDoesItAnswer = 'From how far does it answer?';
export const howFarDoesThePictureHold = 'How far does the picture hold?';
export const howFarDoesThePictureOf = (all: string): string => `How far does the picture of ${all} hold?`;
export const howFarFromTheReceiverDoes = (all: string): string =>
  `How far from the receiver does the voice of ${all} drop out?`;
export const howFarMayThePhoneBe = 'How far may the phone be carried?';
export const howFarMayThePhoneBe2 = (all: string): string =>
  `How far may the phone be carried before ${all} lose the music?`;
export const howWalksAreLogged = 'how walks are logged';
export const hz = 'Hz';
export const invalidLengthm = (lengthM: number): string => `invalid lengthM: ${lengthM}`;
export const kit = 'Kit';
export const noClaimEntered = 'no claim entered';
export const noOutcomeYet = 'no outcome yet';
export const noPathYet = 'no path yet';
export const noWalkYet = 'no walk yet';
export const notEnded = (count: string, underWay: number): string => `${count}, ${underWay} not ended`;
export const notStated = 'not stated';
export const nothingPlanned = 'nothing planned';
export const nothingToPublish = 'nothing to publish';
export const ofWalked = (filled: number, planned: number): string => `${filled} of ${planned} walked`;
export const on = (name: string, name2: string): string => `${name} on ${name2}`;
export const outsideIt = (count: string): string => `${count} outside it`;
export const paths = 'Paths';
export const plan = 'Plan';
export const planFirst = 'plan first';
export const planned = (count: string): string => `${count} planned`;
export const post = (i: number): string => `post ${i}`;
export const product = (get: string | undefined): string => `Product ${get}`;
export const ranges = 'Ranges';
export const readyToPrint = 'ready to print';
export const report = 'Report';
export const rig = (i: number): string => `Rig ${i}`;
export const setUpOfARigMin = 'set-up of a rig, min';
export const smallestDifferenceThatMatters = 'smallest difference that matters';
export const theBand = 'the band';
export const theFirstWalkBeginsBeforeSunrise = 'The first walk begins before sunrise at the site.';
export const theHeightOfTheFixedEnd = 'the height of the fixed end';
export const theHeightOfTheMobileEnd = 'the height of the mobile end';
export const theLastWalkEndsMinutesAfter = (round: number): string =>
  `The last walk ends ${round} minutes after sunset at the site.`;
export const thePath = 'The path';
export const thePower = 'the power';
export const theWalksTakeHHMore = (hours: string, hours2: string): string =>
  `The walks take ${hours} h, ${hours2} h more than are available.`;
export const theWeakestLevelItReceives = 'the weakest level it receives';
export const timeAvailableH = 'time available, h';
export const toWhereAreFastEnough = (all: string): string => `To where are ${all} fast enough?`;
export const toWhereDoHearEachOther = (all: string): string =>
  `To where do ${all} hear each other, both ways?`;
export const trace = 'Trace';
export const unit = (name: string, label: string): string => `${name} unit ${label}`;
export const verdict = 'Verdict';
export const walk = 'Walk';
export const walksOfEachProduct = 'walks of each product';
export const whereDoesTheVoiceDropOut = 'Where does the voice drop out?';
export const whereIsItStillFastEnough = 'Where is it still fast enough?';
export const whoHearsWhomAndToWhere = 'Who hears whom, and to where?';
export const wordedBeforeTheLastWalk = 'worded before the last walk';
