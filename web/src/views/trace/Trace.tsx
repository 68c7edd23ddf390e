import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { TraceStage } from './TraceStage.tsx';

export const Trace = () => <WithWorkspace>{(workspace) => <TraceStage {...workspace} />}</WithWorkspace>;
