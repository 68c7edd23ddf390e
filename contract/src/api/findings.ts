/** Of an answer with a page of findings: where the next page begins (`after`); absent on the last. */
export const NEXT_PAGE = 'Urvek-Next-Page';
