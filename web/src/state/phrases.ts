import { countOf } from '@urvek/core';

/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aDeviceJoinedWatches = (role: string, direction: string): string =>
  `a device joined: ${role}, watches ${direction}`;
export const at = (placeText: string): string => `at ${placeText}`;
export const baseline = (baselineGrade: string | number): string => `baseline ${baselineGrade}`;
export const beaconSentAt = (codes: number, sentS: string): string =>
  `beacon, ${countOf(codes, 'code')} read, the last sent at ${sentS} s`;
export const belongsToTheOuting = (name: string): string => `belongs to the outing “${name}”`;
export const besideAnother = (how: string): string => `beside another: ${how}`;
export const clockComparedMs = (halfRttMs: string): string => `clock compared, ± ${halfRttMs} ms`;
export const comingIn = 'coming in';
export const correction = (action: string, reason: string): string => `correction (${action}): ${reason}`;
export const countedTries = (n: number): string => countOf(n, 'try', 'tries');
export const countsAgain = 'counts again';
export const dropoutBegins = 'dropout begins';
export const dropoutEnds = 'dropout ends';
export const ended = (reason: string): string => `ended: ${reason}`;
export const found = (found: string): string => `found: ${found}`;
export const gapNothingCouldBeLogged = 'gap: nothing could be logged';
export const grade = (grade: number): string => `grade ${grade}`;
export const leftOut = (reason: string): string => `left out: ${reason}`;
export const locationM = (accuracyM: string): string => `location ± ${accuracyM} m`;
export const noConnection = 'no connection';
export const ofAnswered = (hits: number, presses: number, either: string, either2: string): string =>
  `${hits} of ${presses} ${either} answered${either2}`;
export const placeUnknown = 'place unknown';
export const readBackFor = (heard: string, sent: string): string => `read back “${heard}” for “${sent}”`;
export const reconnected = (how: string): string => `reconnected ${how}`;
export const recording = (name: string): string => `recording ${name}`;
export const saidToBeAway = (far: string, within: string): string => `said to be ${far} ± ${within} away`;
export const sharedMoment = (count: number): string => `shared moment ${count}`;
export const theFixedEndStandsAt = (placeText: string): string => `the fixed end stands at ${placeText}`;
export const thePictureCouldNotBeMade = 'The picture could not be made.';
export const triedAndFailedOf = (failed: number, tries: number): string =>
  `tried and failed ${failed} of ${tries}`;
export const turnedRound = 'turned round';
export const wentOn = 'went on';
