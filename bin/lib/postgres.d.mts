/** A PostgreSQL cluster of Urvek's own, running. */
export interface Cluster {
  url(database: string): string;
  stop(): Promise<void>;
}

/** `fast`: without waiting for the disk, for what is thrown away. */
export function startCluster(folder: string, options?: { readonly fast?: boolean }): Promise<Cluster>;
