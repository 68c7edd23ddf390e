import { rect, type Shape } from '../scene.ts';

const [WIDE, APART] = [7, 4];
/** So many stand one by one; of more, so many are drawn and the figure tells. */
export const MOST_POSTS = 12;

/** Walks as posts along the way: full ones are made, open ones are to make. */
export const postShapes = (x: number, y: number, made: number, wanted: number, height: number): Shape[] =>
  Array.from({ length: Math.min(MOST_POSTS, Math.max(made, wanted)) }, (_, i) =>
    rect(x + i * (WIDE + APART), y, WIDE, height, i < made ? 'post-made' : 'post-open'),
  );

export const postsWidth = (count: number): number => Math.min(MOST_POSTS, count) * (WIDE + APART);
