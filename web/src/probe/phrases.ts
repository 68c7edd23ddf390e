/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const askingTheBase = 'asking the base';
export const itWasLeft = 'it was left';
export const itWasStopped = 'it was stopped';
export const noConnectionToTheBase = 'no connection to the base';
export const theBaseDoesNotAnswer = 'the base does not answer';
export const theConnectionWasClosed = 'the connection was closed';
export const theDatagramChannelDidNotOpen = 'the datagram channel did not open in 10 s';
export const thePageWasHidden = 'the page was hidden';
export const urvekProbe = 'Urvek probe';
