import { WithWorkspace } from '../../components/WithWorkspace.tsx';
import { KeySheetPage } from './KeySheetPage.tsx';

/** Which letter is which product: for whoever hands the products out, not for whoever judges them. */
export const KeySheet = () => (
  <WithWorkspace open>{(workspace) => <KeySheetPage {...workspace} />}</WithWorkspace>
);
