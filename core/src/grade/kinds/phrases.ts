/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const butNotAllTheTimeWhich = (from: string): string =>
  `“${from}”, but not all the time: which grade is meant?`;
export const canMeanSeveralGrades = (words: string): string => `“${words}” can mean several grades`;
export const itSaysWhichGradeIsMeant = (found: string): string => `it says ${found}: which grade is meant?`;
