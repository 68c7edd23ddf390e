import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { RangesStage } from './RangesStage.tsx';

export const Ranges = () => <WithWorkspace>{(workspace) => <RangesStage {...workspace} />}</WithWorkspace>;
