// A worker thread does not inherit the TypeScript loader: it registers its own, then runs the file it was
// given.
import { workerData } from 'node:worker_threads';
import { pathToFileURL } from 'node:url';
import { enableTypeScript } from '../bin/lib/typescript.mjs';

await enableTypeScript();
await import(pathToFileURL(workerData.file).href);
