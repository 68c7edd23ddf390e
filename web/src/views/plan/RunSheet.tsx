import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { RunSheetPage } from './RunSheetPage.tsx';

export const RunSheet = () => <WithWorkspace>{(workspace) => <RunSheetPage {...workspace} />}</WithWorkspace>;
