import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { SheetImporter } from './SheetImporter.tsx';

export const SheetImport = () => (
  <WithWorkspace open>{(workspace) => <SheetImporter {...workspace} />}</WithWorkspace>
);
