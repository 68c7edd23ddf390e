export * from './event.ts';
export * from './problem.ts';
export * from './derive.ts';
export * from './setup.ts';
export * from './walk.ts';
