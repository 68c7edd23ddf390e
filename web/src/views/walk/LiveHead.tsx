import { Heading } from '../../components/Heading.tsx';
import { KeptCount } from './KeptCount.tsx';
import { LiveOptions } from './LiveOptions.tsx';
import { Saved } from './Saved.tsx';
import type { Live } from './useLive.ts';
import * as phrases from './phrases.ts';

/** Who walks where, what is kept, and how one wants to log. */
export function LiveHead({ live }: { live: Live }) {
  const { subject, state, gear } = live;
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <Heading title={phrases.walking(subject?.product.name ?? 'now')}>
        {subject?.product.name ?? phrases.walkNow}
      </Heading>
      <p>
        {subject?.path.name ?? phrases.productAndPathAreAskedAfterwards},{' '}
        {state.turned ? phrases.onTheWayBack : phrases.onTheWayOut}
      </p>
      {/* What is kept breaks within the height of the options: the keys below stay where they are. */}
      <div className="flex min-w-0 grow basis-80 items-center gap-x-3">
        <div className="flex min-w-0 grow flex-wrap items-baseline gap-x-2 leading-tight">
          <KeptCount walkId={live.kept.id} />
          <Saved saved={live.unkept === 0 ? live.entries.saved : undefined} />
        </div>
        <LiveOptions
          options={live.options}
          onChange={live.change}
          onOpen={live.open}
          simulated={gear.simulated}
          onRate={(rate) => {
            live.entries.setRate(rate);
            gear.setRate(rate);
          }}
          location={live.location}
        />
      </div>
    </div>
  );
}
