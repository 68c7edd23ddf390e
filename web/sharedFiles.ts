// Which modules of the web application come in one file. Left to itself the build makes a file of whatever the same
// views share: forty of a kilobyte or two for a stage, and a browser asks for six at a time. With two the stages
// stand half a second sooner (npm run bench:pages).
import { build, type Rolldown } from 'vite';

/** A view that an address opens, with the folder that is named like it. */
const VIEW = /\/src\/views\/([a-z]+)\/\1\.tsx$/i;
/** What a phone opens first, and is to be small. */
const FIRST = 'walk';
/** What it opens next; nothing of the desk comes with it. */
const UNDER_WAY = '/src/views/walk/LiveWalk.tsx';
const DESK = ['bench', 'kit', 'paths', 'plan', 'trace', 'ranges', 'verdict', 'report'];

/** `program`: of every page. `common`: of the walk under way and the desk. `desk`: of two or more of its stages. */
export type SharedFile = 'program' | 'common' | 'desk';

/**
 * The shared file of each module that is in one, learned from a build that is not kept: only that knows which modules
 * a view has after what is never used was shaken off.
 * @param root folder of the web application
 */
export async function sharedFiles(root: string): Promise<ReadonlyMap<string, SharedFile>> {
  const built = await build({
    root,
    configFile: false,
    logLevel: 'error',
    plugins: [withoutThreads],
    build: { write: false, minify: false, cssMinify: false, rolldownOptions: { onwarn: () => undefined } },
  });
  const { output } = (Array.isArray(built) ? built[0] : built) as Rolldown.RolldownOutput;
  const chunks = new Map(output.flatMap((o) => (o.type === 'chunk' ? [[o.fileName, o]] : [])));
  const views = [...chunks.values()].filter((c) => c.isEntry || c.facadeModuleId?.includes('/src/views/'));
  const shared = new Map<string, SharedFile>();
  const usedBy = new Map<string, Set<string>>();
  for (const view of views) {
    const id = view.facadeModuleId ?? '';
    const name = view.isEntry ? 'program' : id.endsWith(UNDER_WAY) ? UNDER_WAY : VIEW.exec(id)?.[1];
    if (name === undefined) continue;
    for (const file of withImports(chunks, view.fileName))
      usedBy.set(file, (usedBy.get(file) ?? new Set()).add(name));
  }
  for (const [file, users] of usedBy) {
    const fileOf = sharedBy(users);
    if (fileOf) for (const id of chunks.get(file)?.moduleIds ?? []) shared.set(id, fileOf);
  }
  return shared;
}

function sharedBy(users: ReadonlySet<string>): SharedFile | undefined {
  if (users.has('program') || users.has(FIRST)) return 'program';
  const stages = DESK.filter((stage) => users.has(stage)).length;
  if (users.has(UNDER_WAY)) return stages > 0 ? 'common' : undefined;
  return stages > 1 ? 'desk' : undefined;
}

/** A file with those that it cannot run without. */
function withImports(
  chunks: ReadonlyMap<string, Rolldown.OutputChunk>,
  fileName: string,
  met = new Set<string>(),
): ReadonlySet<string> {
  if (met.has(fileName)) return met;
  met.add(fileName);
  for (const imported of chunks.get(fileName)?.imports ?? []) withImports(chunks, imported, met);
  return met;
}

/** Threads are programs of their own, and are not what takes part here. */
const withoutThreads = {
  name: 'without-threads',
  enforce: 'pre' as const,
  load: (id: string) => (/\?worker/.test(id) ? 'export default ""' : undefined),
  transform: (code: string, id: string) =>
    id.includes('/web/src/')
      ? code.replace(/new URL\(('[^']+\.worker\.ts'), import\.meta\.url\)/g, '$1')
      : undefined,
};
