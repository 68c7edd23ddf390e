export * from './ports.ts';
export * from './result.ts';
export * from './runProbe.ts';
