import { fileOf, type FileAsked } from '../publish/files.ts';
import type { Storage } from '../storage/port.ts';

class Cancelled extends Error {}

/** Does a job, or nothing when it is done already or was cancelled. What it throws the queue tries again. */
export async function doJob(storage: Storage, jobId: string): Promise<void> {
  const asked = (await storage.beginJob(jobId)) as FileAsked | undefined;
  if (!asked) return;
  try {
    const file = await fileOf(storage, asked, async (share) => {
      if (!(await storage.jobProgress(jobId, share))) throw new Cancelled();
    });
    await storage.finishJob(jobId, file);
  } catch (error) {
    if (error instanceof Cancelled) return;
    await storage.failJob(jobId, (error as Error).message);
  }
}
