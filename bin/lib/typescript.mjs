import { join } from 'node:path';
import { ROOT } from './project.mjs';

/** Lets this process import TypeScript; the packages must be installed. */
export async function enableTypeScript() {
  process.env.TSX_TSCONFIG_PATH = join(ROOT, 'tsconfig.json');
  const { register } = await import('tsx/esm/api');
  register();
}
