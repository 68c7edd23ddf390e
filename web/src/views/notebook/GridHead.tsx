import * as phrases from './phrases.ts';

/** The columns' titles, which stay above the rows. */
export const GridHead = ({ template, titles }: { template: string; titles: readonly string[] }) => (
  <div
    role="row"
    aria-rowindex={1}
    className="sticky top-0 z-10 grid w-max bg-paper font-bold"
    style={{ gridTemplateColumns: template }}
  >
    <span role="columnheader" className="border-r border-b border-rule px-1 text-[0.87rem]">
      <span className="sr-only">{phrases.row}</span>
    </span>
    {titles.map((title) => (
      <span
        key={title}
        role="columnheader"
        className="border-r border-b border-rule px-1.5 py-1 text-[0.87rem]"
      >
        {title}
      </span>
    ))}
  </div>
);
