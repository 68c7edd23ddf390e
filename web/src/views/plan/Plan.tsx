import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { PlanEditor } from './PlanEditor.tsx';

export const Plan = () => <WithWorkspace open>{(workspace) => <PlanEditor {...workspace} />}</WithWorkspace>;
