/** Where the programs of PostgreSQL are, and what they need around them. */
export interface Tools {
  readonly bin: string;
  readonly env: NodeJS.ProcessEnv;
}

/** A PostgreSQL cluster of Urvek's own, running. */
export interface Cluster {
  url(database: string): string;
  readonly tools: Tools;
  /** The server process now: another one after it was started again. */
  pid(): number;
  stop(): Promise<void>;
}

/**
 * `fast`: without waiting for the disk, for what is thrown away. `told` hears what happens to it, in words.
 */
export function startCluster(
  folder: string,
  options?: { readonly fast?: boolean; readonly told?: (what: string) => void },
): Promise<Cluster>;
