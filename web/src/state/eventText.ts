import {
  countOf,
  byMethod,
  formatLength,
  QUANTITY_UNIT,
  type EventBodies,
  type Reading,
  type WalkEvent,
} from '@urvek/core';

const placeText = ({ travelledM, method }: Reading): string =>
  `${formatLength(travelledM)}, ${byMethod(method)}`;

/** An event in a few words. */
export function eventText(event: WalkEvent): string {
  switch (event.kind) {
    case 'begin':
      return [
        'begun',
        event.body.reading && `at ${placeText(event.body.reading)}`,
        `baseline ${event.body.baselineGrade ?? 'not stated'}`,
        event.body.inwards && 'coming in',
      ]
        .filter(Boolean)
        .join(', ');
    case 'dropoutBegin':
      return ['dropout begins', event.body.hop, foundText(event.body)].filter(Boolean).join(', ');
    case 'dropoutEnd':
      return ['dropout ends', event.body.found && 'found'].filter(Boolean).join(', ');
    case 'grade':
      return `grade ${event.body.grade}`;
    case 'mark':
      return [
        event.body.stand ? 'stand' : 'mark',
        event.body.name,
        event.body.reading ? placeText(event.body.reading) : 'place unknown',
      ]
        .filter(Boolean)
        .join(' ');
    case 'goOn':
      return 'went on';
    case 'fixedEnd':
      return `the fixed end stands at ${placeText(event.body.reading)}`;
    case 'turn':
      return 'turned round';
    case 'reconnected':
      return `reconnected ${event.body.how}`;
    case 'note':
      return `“${event.body.text}”`;
    case 'gap':
      return 'gap: nothing could be logged';
    case 'landmark':
      return event.body.name ? `${event.body.what}: ${event.body.name}` : event.body.what;
    case 'tried':
      return `tried and failed ${event.body.failed} of ${event.body.tries}`;
    case 'call':
      return `${event.body.checkpoint}, ${event.body.direction}: grade ${event.body.grade} after ${countOf(event.body.tries, 'try', 'tries')}`;
    case 'hits':
      return `${event.body.hits} of ${event.body.presses} ${event.body.of === 'receivers' ? 'receivers' : 'presses'} answered${event.body.orientation ? `, ${event.body.orientation}` : ''}`;
    case 'readBack':
      return `read back “${event.body.heard}” for “${event.body.sent}”`;
    case 'rung':
      return `${event.body.rung} ${event.body.worked ? 'worked' : 'failed'}, ${event.body.direction}`;
    case 'measured':
      return measuredText(event.body);
    case 'fix':
      return `location ± ${event.body.accuracyM.toFixed(0)} m`;
    case 'joined':
      return `a device joined: ${event.body.role}, watches ${event.body.direction}`;
    case 'clock':
      return `clock compared, ± ${event.body.halfRttMs.toFixed(0)} ms`;
    case 'shared':
      return `shared moment ${event.body.count}`;
    case 'recording':
      return `recording ${event.body.name}`;
    case 'against':
      return `beside another: ${event.body.how}`;
    case 'outing':
      return `belongs to the outing “${event.body.name}”`;
    case 'leftOut':
      return event.body.reason === undefined ? 'counts again' : `left out: ${event.body.reason}`;
    case 'end':
      return `ended: ${event.body.reason}`;
    case 'correction':
      return `correction (${event.body.action}): ${event.body.reason}`;
  }
}

function measuredText({
  quantity,
  value,
  bound,
  direction,
  band,
  cell,
  network,
}: EventBodies['measured']): string {
  const figure =
    value === undefined
      ? 'no connection'
      : `${bound === undefined ? '' : `${bound} `}${Number(value.toPrecision(4))} ${QUANTITY_UNIT[quantity]}`;
  return [`${quantity} ${figure}`, direction, band ?? network, cell]
    .filter((t) => t !== undefined)
    .join(', ');
}

/** What an instrument found, and by what. */
const foundText = ({ found }: { readonly found?: string }): string | undefined =>
  found === undefined ? undefined : `found: ${found}`;
