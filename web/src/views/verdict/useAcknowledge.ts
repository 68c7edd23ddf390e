import type { Comparison, Setup } from '@urvek/contract';
import { useSaveComparison } from '../../api/queries.ts';
import { useNotice } from '../../components/Notice.tsx';
import * as phrases from './phrases.ts';

/** Leaves a finding as it is, or opens it again; saved at once, with undo. */
export function useAcknowledge({ id, title, question, revision, setup }: Comparison): {
  acknowledge: (key: string, reason: string) => void;
  reopen: (key: string) => void;
  error: Error | null;
} {
  const { mutate, error } = useSaveComparison(id);
  const notice = useNotice();
  const put = (acknowledged: NonNullable<Setup['acknowledged']>, text: string): void =>
    mutate(
      { title, question, revision, setup: { ...setup, acknowledged } },
      {
        onSuccess: (saved) =>
          notice({ text, undo: () => mutate({ title, question, setup, revision: saved.revision }) }),
      },
    );
  const others = (key: string) => (setup.acknowledged ?? []).filter((a) => a.key !== key);
  return {
    acknowledge: (key, reason) => put([...others(key), { key, reason }], phrases.acceptedTheReasonIsPrinted),
    reopen: (key) => put(others(key), phrases.openAgain),
    error,
  };
}
