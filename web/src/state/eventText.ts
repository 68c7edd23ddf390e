import {
  byMethod,
  formatLength,
  QUANTITY_UNIT,
  type EventBodies,
  type Reading,
  type WalkEvent,
} from '@urvek/core';
import * as phrases from './phrases.ts';

const placeText = ({ travelledM, method }: Reading): string =>
  `${formatLength(travelledM)}, ${byMethod(method)}`;

/** An event in a few words. */
export function eventText(event: WalkEvent): string {
  switch (event.kind) {
    case 'begin':
      return [
        'begun',
        event.body.reading && phrases.at(placeText(event.body.reading)),
        phrases.baseline(event.body.baselineGrade ?? 'not stated'),
        event.body.inwards && phrases.comingIn,
      ]
        .filter(Boolean)
        .join(', ');
    case 'dropoutBegin':
      return [phrases.dropoutBegins, event.body.hop, foundText(event.body)].filter(Boolean).join(', ');
    case 'dropoutEnd':
      return [phrases.dropoutEnds, event.body.found && 'found'].filter(Boolean).join(', ');
    case 'grade':
      return [phrases.grade(event.body.grade), foundText(event.body)].filter(Boolean).join(', ');
    case 'mark':
      return [
        event.body.stand ? 'stand' : 'mark',
        event.body.name,
        event.body.reading ? placeText(event.body.reading) : phrases.placeUnknown,
      ]
        .filter(Boolean)
        .join(' ');
    case 'goOn':
      return phrases.wentOn;
    case 'fixedEnd':
      return phrases.theFixedEndStandsAt(placeText(event.body.reading));
    case 'turn':
      return phrases.turnedRound;
    case 'reconnected':
      return phrases.reconnected(event.body.how);
    case 'note':
      return `“${event.body.text}”`;
    case 'gap':
      return phrases.gapNothingCouldBeLogged;
    case 'landmark':
      return event.body.name ? `${event.body.what}: ${event.body.name}` : event.body.what;
    case 'tried':
      return phrases.triedAndFailedOf(event.body.failed, event.body.tries);
    case 'call':
      return (
        `${event.body.checkpoint}, ${event.body.direction}: grade ${event.body.grade} after ` +
        `${phrases.countedTries(event.body.tries)}`
      );
    case 'hits':
      return phrases.ofAnswered(
        event.body.hits,
        event.body.presses,
        event.body.of === 'receivers' ? 'receivers' : 'presses',
        event.body.orientation ? `, ${event.body.orientation}` : '',
      );
    case 'readBack':
      return phrases.readBackFor(event.body.heard, event.body.sent);
    case 'rung':
      return `${event.body.rung} ${event.body.worked ? 'worked' : 'failed'}, ${event.body.direction}`;
    case 'measured':
      return measuredText(event.body);
    case 'fix':
      return phrases.locationM(event.body.accuracyM.toFixed(0));
    case 'joined':
      return phrases.aDeviceJoinedWatches(event.body.role, event.body.direction);
    case 'clock':
      return phrases.clockComparedMs(event.body.halfRttMs.toFixed(0));
    case 'shared':
      return phrases.sharedMoment(event.body.count);
    case 'recording':
      return phrases.recording(event.body.name);
    case 'beacon':
      return beaconText(event.body);
    case 'against':
      return phrases.besideAnother(event.body.how);
    case 'outing':
      return phrases.belongsToTheOuting(event.body.name);
    case 'leftOut':
      return event.body.reason === undefined ? phrases.countsAgain : phrases.leftOut(event.body.reason);
    case 'end':
      return phrases.ended(event.body.reason);
    case 'correction':
      return phrases.correction(event.body.action, event.body.reason);
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
      ? phrases.noConnection
      : `${bound === undefined ? '' : `${bound} `}${Number(value.toPrecision(4))} ${QUANTITY_UNIT[quantity]}`;
  return [`${quantity} ${figure}`, direction, band ?? network, cell]
    .filter((t) => t !== undefined)
    .join(', ');
}

function beaconText({ codes, sentS, separation }: EventBodies['beacon']): string {
  const far = separation && phrases.saidToBeAway(formatLength(separation.m), formatLength(separation.uM));
  return [phrases.beaconSentAt(codes, sentS.toFixed(1)), far].filter(Boolean).join(', ');
}

/** What an instrument found, and by what. */
const foundText = ({ found }: { readonly found?: string }): string | undefined =>
  found === undefined ? undefined : phrases.found(found);
