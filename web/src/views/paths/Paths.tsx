import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { PathsEditor } from './PathsEditor.tsx';

export const Paths = () => (
  <WithWorkspace open>{(workspace) => <PathsEditor {...workspace} />}</WithWorkspace>
);
