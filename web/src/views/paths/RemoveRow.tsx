import { Trash2 } from 'lucide-react';
import * as phrases from './phrases.ts';

export const RemoveRow = ({ what, onClick }: { what: string; onClick: () => void }) => (
  <button type="button" className="btn btn-quiet" aria-label={phrases.remove(what)} onClick={onClick}>
    <Trash2 aria-hidden size={16} />
  </button>
);
