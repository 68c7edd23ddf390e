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
      Row before
    </button>
    <button type="button" className="btn btn-quiet" onClick={onRemove}>
      Remove {to > from ? `rows ${from + 1} to ${to + 1}` : `row ${from + 1}`}
    </button>
  </p>
);
