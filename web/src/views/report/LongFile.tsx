import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { Trouble } from '../../components/States.tsx';
import * as phrases from './phrases.ts';

const LOOK_EVERY_MS = 700;

/**
 * A file that takes long: it is made while one does something else, says how far it is, and can be called
 * off.
 */
export function LongFile({ id, name, label }: { id: string; name: string; label: string }) {
  const [jobId, setJobId] = useState<string>();
  const [error, setError] = useState<Error>();
  const { data: job } = useQuery({
    queryKey: ['job', jobId],
    enabled: jobId !== undefined,
    queryFn: () => base.job(jobId as string),
    refetchInterval: (query) =>
      query.state.data?.state === 'done' || query.state.data?.state === 'failed' ? false : LOOK_EVERY_MS,
  });
  const ask = (): void => {
    setError(undefined);
    base.askFile(id, name).then((asked) => setJobId(asked.id), setError);
  };
  const cancel = (): void => {
    if (jobId !== undefined) base.cancelJob(jobId).catch(setError);
    setJobId(undefined);
  };
  if (error) return <Trouble error={error} />;
  if (job?.state === 'failed')
    return (
      <p role="alert">
        {phrases.theFileWasNotMade(label)}
        {job.trouble}
        {phrases.theWalksAreAsTheyWere}
        <button type="button" className="btn" onClick={ask}>
          {phrases.tryAgain}
        </button>
      </p>
    );
  if (job?.state === 'done')
    return (
      <a className="btn btn-main" href={base.jobFile(job.id)} download>
        <Download aria-hidden size={16} />
        {phrases.ready(label)}
      </a>
    );
  if (jobId !== undefined)
    return (
      <span className="flex items-center gap-2">
        <label className="flex items-center gap-2">
          {label} <progress max={1} value={job?.progress ?? 0} />
        </label>
        <button type="button" className="btn" onClick={cancel}>
          {phrases.cancel}
        </button>
      </span>
    );
  return (
    <button type="button" className="btn" onClick={ask}>
      <Download aria-hidden size={16} />
      {label}
    </button>
  );
}
