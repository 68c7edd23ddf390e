/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const theDeviceOfTheWalk = 'the device of the walk';
export const theJoinedDevice = (role: string): string => `the joined device (${role})`;
export const theNext = 'the next';
