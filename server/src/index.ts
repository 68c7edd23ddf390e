export * from './serve.ts';
export * from './storage/postgres/database.ts';
export * from './storage/postgres/store.ts';
export * from './api/app.ts';
export * from './clock.ts';
export * from './demo/cindermoor.ts';
export * from './demo/load.ts';
