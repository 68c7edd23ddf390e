import { useState, type ChangeEvent } from 'react';

/**
 * A file chosen by the user, read as text and handed on. What `read` throws of the kinds it expects is
 * shown in words that say what happened and what was kept.
 */
export function useTextFile(
  read: (name: string, text: string) => void,
  {
    limitBytes,
    expects,
    kept,
  }: { limitBytes: number; expects: readonly (new (...args: never[]) => Error)[]; kept: string },
): { error: string | undefined; onChange: (e: ChangeEvent<HTMLInputElement>) => void } {
  const [error, setError] = useState<string>();
  const take = async (file: File): Promise<void> => {
    try {
      if (file.size > limitBytes) {
        setError(`${file.name} was not imported: the file is larger than ${limitBytes / 1e6} MB. ${kept}`);
        return;
      }
      read(file.name, await file.text());
      setError(undefined);
    } catch (cause) {
      if (!expects.some((kind) => cause instanceof kind)) throw cause;
      setError(`${file.name} was not imported: ${(cause as Error).message}. ${kept}`);
    }
  };
  return {
    error,
    onChange: (e) => {
      const [file] = e.target.files ?? [];
      e.target.value = '';
      if (file) void take(file);
    },
  };
}
