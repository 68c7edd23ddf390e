// A worker thread: TypeScript is registered first, then the work is imported.
import { register } from 'tsx/esm/api';

register();
const work = await import('./work.ts');
export default work.default;
