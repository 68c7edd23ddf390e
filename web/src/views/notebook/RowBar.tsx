import * as phrases from './phrases.ts';

/** What is done to whole rows; counted from none. */
export const RowBar = ({
  from,
  to,
  onBefore,
  onRemove,
}: {
  from: number;
  to: number;
  onBefore: () => void;
  onRemove: () => void;
}) => (
  <p className="mt-1 flex flex-wrap gap-2">
    <button type="button" className="btn btn-quiet" onClick={onBefore}>
      {phrases.rowBefore}
    </button>
    <button type="button" className="btn btn-quiet" onClick={onRemove}>
      {phrases.remove(to > from ? phrases.rowsTo(from + 1, to + 1) : phrases.row2(from + 1))}
    </button>
  </p>
);
