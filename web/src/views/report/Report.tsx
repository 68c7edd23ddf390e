import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { ReportPage } from './ReportPage.tsx';

export const Report = () => <WithWorkspace>{(workspace) => <ReportPage {...workspace} />}</WithWorkspace>;
