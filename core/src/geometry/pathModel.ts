export const PATH_MODELS = ['free-space', 'two-ray', 'two-slope', 'indoor'] as const;
export type PathModel = (typeof PATH_MODELS)[number];
