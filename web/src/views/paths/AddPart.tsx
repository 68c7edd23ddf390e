import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';

/** Adds a part to a path, in the line of its kind. */
export const AddPart = ({ onClick, children }: { onClick: () => void; children: ReactNode }) => (
  <button type="button" className="btn btn-quiet min-h-8 py-0" onClick={onClick}>
    <Plus aria-hidden size={15} />
    {children}
  </button>
);
