/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const diamondMedianBarIts95Percent =
  'Diamond: median; bar: its 95 % interval; bracket: held and failed; arrow: more, or less, than.';
export const invalidBlocksNone = 'invalid blocks: none';
