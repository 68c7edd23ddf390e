import { useShutOut } from '../state/shutOut.ts';

/** The base does not know this browser: how it is opened. Logging goes on. */
export function ShutOut() {
  const problem = useShutOut();
  return problem ? (
    <div role="alert" className="no-print border-b-4 border-lost bg-sheet px-4 py-2">
      <p>
        <strong>{problem.what}</strong> {problem.kept} {problem.todo}
      </p>
    </div>
  ) : null;
}
