export const WALKS = [2, 3, 4, 6, 8, 12, 16];
export const STEPS = [1.02, 1.05, 1.1, 1.25];
