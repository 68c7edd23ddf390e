/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const baseKey = 'base key';
export const checkThatUrvekIsRunning = 'Check that Urvek is running.';
export const theBaseDoesNotAnswerWhat =
  'The base does not answer. What you log stays on this device and is sent later. ';
