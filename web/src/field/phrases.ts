/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const aPartOfThisLogWas = 'A part of this log was sent already; it stays as it is.';
export const allowTheMicrophoneForThisAddress =
  'Allow the microphone for this address, or plug the receiver into the line input, and listen again.';
export const echoCancelling = 'echo cancelling';
export const endedHere = (reason: string): string => `ended here: ${reason}`;
export const gainControl = 'gain control';
export const itEnded = 'it ended';
export const noFramesAreTold = 'no frames are told';
export const noPictureCameInAnyMore = 'no picture came in any more';
export const noPictureComesInTheBrowser =
  'No picture comes in: the browser was not allowed to watch, or there is no camera or capture device. ';
export const noSoundCameInAnyMore = 'no sound came in any more';
export const noSoundComesInTheBrowser =
  'No sound comes in: the browser was not allowed to listen, or there is no input. Nothing was logged. ';
export const noiseSuppression = 'noise suppression';
export const nothingWasLoggedAllowTheCamera =
  'Nothing was logged. Allow the camera for this address, or plug the receiver into a capture device, and watch again.';
export const theBaseIsStillOutOf = 'the base is still out of reach';
export const theInputWasUnpluggedOrTaken = 'the input was unplugged or taken by another program';
export const theServerFailedOnItAnd = 'The server failed on it, and not on what was sent with it.';
export const theWalkGoesOn = 'the walk goes on';
export const thisBrowserCannotListenNothingWas =
  'This browser cannot listen. Nothing was logged. Try another one.';
export const thisBrowserCannotWatchNothingWas =
  'This browser cannot watch. Nothing was logged. Try another one.';
export const thisBrowserHasNoSerialPorts = 'This browser has no serial ports.';
export const thisDeviceHasALogOf = 'This device has a log of that walk already; this one stays as it is.';
export const thisPortCannotBeRead = 'This port cannot be read.';
export const undoneInTheWalk = 'undone in the walk';
