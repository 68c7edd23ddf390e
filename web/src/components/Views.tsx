import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import type { ReactNode } from 'react';
import { useSelected } from '../state/lens.ts';

/** One of several views of the same thing. */
export interface View {
  /** Its name in the address. */
  readonly id: string;
  readonly name: string;
  readonly draw: () => ReactNode;
}

/** One view at a time, the first of them until another is chosen; the address says which. */
export function Views({ views }: { views: readonly View[] }) {
  const [shown, show] = useSelected('show');
  return (
    <TabGroup
      selectedIndex={Math.max(
        0,
        views.findIndex((v) => v.id === shown),
      )}
      onChange={(i) => show(i === 0 ? undefined : views[i]?.id)}
    >
      <TabList className="no-print mt-2 mb-3 flex flex-wrap gap-x-1 border-b-2 border-ink">
        {views.map(({ id, name }) => (
          <Tab
            key={id}
            className={
              'min-h-9 border-2 border-b-0 border-transparent px-3 font-bold ' +
              'whitespace-nowrap data-selected:border-ink data-selected:bg-white'
            }
          >
            {name}
          </Tab>
        ))}
      </TabList>
      <TabPanels>
        {views.map(({ id, draw }) => (
          <TabPanel key={id}>{draw()}</TabPanel>
        ))}
      </TabPanels>
    </TabGroup>
  );
}
