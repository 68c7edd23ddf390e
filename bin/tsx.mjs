// Runs one of the project's own TypeScript programs: node bin/tsx.mjs FILE [arguments].
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensurePackages } from './lib/packages.mjs';
import { enableTypeScript } from './lib/typescript.mjs';

ensurePackages();
await enableTypeScript();
process.argv.splice(1, 1);
await import(pathToFileURL(resolve(process.argv[1])).href);
