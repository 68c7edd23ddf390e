import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { NotebookStage } from './NotebookStage.tsx';

/** With nothing set up: a comparison is made of what is written. */
export const NewNotebook = () => <NotebookStage comparison={undefined} />;

export const ComparisonNotebook = () => (
  <WithWorkspace open>{({ comparison }) => <NotebookStage comparison={comparison} />}</WithWorkspace>
);
