import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { SetupChanges } from './SetupChanges.tsx';

// Open: what is brought back, or undone, is the set-up itself and not its letters.
export const History = () => (
  <WithWorkspace open>{(workspace) => <SetupChanges {...workspace} />}</WithWorkspace>
);
