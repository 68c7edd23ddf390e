import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { VerdictStage } from './VerdictStage.tsx';

export const Verdict = () => <WithWorkspace>{(workspace) => <VerdictStage {...workspace} />}</WithWorkspace>;
