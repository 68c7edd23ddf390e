export * from './event.ts';
export * from './prediction.ts';
export * from './problem.ts';
export * from './derive.ts';
export * from './planning.ts';
export * from './setup.ts';
export * from './walk.ts';
