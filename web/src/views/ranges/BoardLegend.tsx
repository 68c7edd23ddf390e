import { Term } from '../../components/Term.tsx';

/** What the shapes of the reach board mean. */
export const BoardLegend = () => (
  <p className="mt-1 text-[0.87rem] text-faint">
    <Term of="separation">Separation</Term>, one scale for all. Diamond: <Term of="estimate">median</Term>;
    bar: its 95 % interval, dashed beyond the path’s end (heavy stroke); <Term of="bracket" />: held and
    failed; arrow: a <Term of="bound" />; open posts: walks to make; ≈: not told apart.
  </p>
);
