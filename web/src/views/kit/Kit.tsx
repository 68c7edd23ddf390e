import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { KitEditor } from './KitEditor.tsx';

export const Kit = () => <WithWorkspace open>{(workspace) => <KitEditor {...workspace} />}</WithWorkspace>;
