import {
  align,
  LOOKED_AT,
  PictureDetector,
  referenceLoss,
  SENT_SIGNALS,
  SoundDetector,
  type Alignment,
  type ArtefactKind,
  type Detected,
  type DropoutKind,
  type PictureFound,
  type SentSignal,
  type SoundFound,
  type Thresholds,
} from '@urvek/core';
import { BadInput } from './badInput.ts';
import { eachTrack, framesOf, probeMedia, soundOf, trackOf, type Media } from './media.ts';

export interface DetectOptions {
  readonly json?: true;
  readonly reference?: string;
  readonly signal?: string;
}

/** Speech is aligned and weighed at this rate, Hz: links for speech carry no more. */
const SPEECH_RATE_HZ = 8000;
const SIGNALS = [...SENT_SIGNALS, 'speech'] as const;

interface Found {
  readonly durationS: number;
  readonly kind: 'sound' | 'picture' | 'sound and picture';
  readonly dropouts: readonly Detected<DropoutKind>[];
  readonly artefacts: readonly Detected<ArtefactKind>[];
  readonly alignment: Alignment | undefined;
  readonly thresholds: Thresholds;
  readonly notes: readonly string[];
}

/** The `detect` command: what was lost in a recording that holds this, and when. @throws BadInput */
export async function detect(file: string, probed: Promise<Media>, options: DetectOptions): Promise<string> {
  const signal = SIGNALS.find((s) => s === (options.signal ?? 'unknown'));
  if (!signal) throw new BadInput(`--signal ${options.signal}: there are ${SIGNALS.join(', ')}`);
  if (signal === 'speech' && options.reference === undefined)
    throw new BadInput('--signal speech: what was said is needed too, as --reference FILE');
  const media = await probed;
  if (options.reference !== undefined && !media.sound)
    throw new BadInput(`${file}: has no sound to hold against the reference`);
  const found = await foundIn(file, media, signal, options.reference);
  return options.json ? `${JSON.stringify(jsonOf(found), null, 1)}\n` : textOf(found);
}

async function foundIn(
  file: string,
  media: Media,
  signal: (typeof SIGNALS)[number],
  reference: string | undefined,
): Promise<Found> {
  const [against, { sound, picture, notes }] = await Promise.all([
    reference === undefined || !media.sound
      ? undefined
      : againstReference(file, media.sound.beginsS, reference),
    eachTrack(
      media.sound && soundFound(file, media.sound, signal === 'speech' ? 'unknown' : signal),
      media.picture && pictureFound(file, media.picture),
    ),
  ]);
  if (!sound && !picture) throw new BadInput(`${file}: is a single picture, and no recording`);
  const ofSound = signal === 'speech' ? (against?.loss?.dropouts ?? []) : (sound?.dropouts ?? []);
  return {
    durationS: Math.max(sound?.durationS ?? 0, picture?.durationS ?? 0),
    kind: sound && picture ? 'sound and picture' : sound ? 'sound' : 'picture',
    dropouts: inOrder([...ofSound, ...(picture?.dropouts ?? [])]),
    artefacts: inOrder([...(sound?.artefacts ?? []), ...(picture?.artefacts ?? [])]),
    alignment: against?.alignment,
    thresholds: {
      ...(signal === 'speech' ? against?.loss?.thresholds : sound?.thresholds),
      ...picture?.thresholds,
    },
    notes: [
      ...notes,
      ...(against && !against.alignment
        ? ['nothing of the reference is heard in it: neither delay nor losses can be told']
        : []),
      ...(against?.loss && signal === 'speech'
        ? [
            `losses can be heard in ${(100 * against.loss.audibleShare).toFixed(0)} % of the time; in pauses ` +
              'they leave no trace',
          ]
        : []),
      ...(picture?.tooStill ? ['the picture hardly moves: a freeze cannot be told'] : []),
      ...(signal === 'unknown' && sound
        ? ['nothing is known of the signal: what is told as lost is silence, and a pause is one too']
        : []),
    ],
  };
}

const inOrder = <T extends { readonly fromS: number }>(list: readonly T[]): T[] =>
  [...list].sort((a, b) => a.fromS - b.fromS);

async function soundFound(
  file: string,
  sound: NonNullable<Media['sound']>,
  signal: SentSignal,
): Promise<SoundFound> {
  const detector = new SoundDetector({ ...sound, signal });
  for await (const piece of soundOf(file, sound)) if ((piece[0]?.length ?? 0) > 0) detector.push(piece);
  return detector.end();
}

/** Times of the result are those of the two files, whenever their sound begins. */
async function againstReference(file: string, beginsS: number, reference: string) {
  const [sent, heard, { sound }] = await Promise.all([
    trackOf(reference, SPEECH_RATE_HZ),
    trackOf(file, SPEECH_RATE_HZ),
    probeMedia(reference),
  ]);
  const alignment = align(sent, heard, SPEECH_RATE_HZ);
  const loss = alignment && referenceLoss(sent, heard, SPEECH_RATE_HZ, alignment);
  return {
    alignment: alignment && { ...alignment, delayS: alignment.delayS + beginsS - (sound?.beginsS ?? 0) },
    loss: loss && {
      ...loss,
      dropouts: loss.dropouts.map((d) => ({ ...d, fromS: beginsS + d.fromS, toS: beginsS + d.toS })),
    },
  };
}

/** Undefined where it holds a single picture: that is no film. */
async function pictureFound(
  file: string,
  picture: NonNullable<Media['picture']>,
): Promise<PictureFound | undefined> {
  const { width, height } = LOOKED_AT;
  const detector = new PictureDetector();
  const fit = `scale=${width}:${height}:flags=area`;
  for await (const { grey, atS } of framesOf(file, picture, width * height, fit)) detector.push(grey, atS);
  const found = detector.end();
  return found.frames < 2 ? undefined : found;
}

const detectedJson = (d: Detected): object => ({
  from_s: d.fromS,
  to_s: d.toS,
  kind: d.kind,
  certainty: d.certainty,
  figure: d.figure,
  ...(d.open ? { open: true } : {}),
});

const jsonOf = (found: Found): object => ({
  duration_s: found.durationS,
  kind: found.kind,
  dropouts: found.dropouts.map(detectedJson),
  artefacts: found.artefacts.map(detectedJson),
  delay_s: found.alignment?.delayS ?? null,
  drift_ppm: found.alignment?.driftPpm ?? null,
  thresholds: found.thresholds,
  notes: found.notes,
});

function textOf({ durationS, kind, dropouts, artefacts, alignment, thresholds, notes }: Found): string {
  const line = (d: Detected): string =>
    `${d.fromS.toFixed(3).padStart(10)}  ` +
    `${`${d.open ? '> ' : ''}${(d.toS - d.fromS).toFixed(3)}`.padStart(9)}  ${d.kind}: ${d.figure}`;
  const list = (title: string, all: readonly Detected[]): string[] =>
    all.length === 0
      ? [`No ${title}.`]
      : [`${all.length} ${title}`, '    from, s    for, s', ...all.map(line)];
  return `${[
    `${kind}, ${durationS.toFixed(3)} s`,
    ...list('dropouts', dropouts),
    ...list('artefacts', artefacts),
    ...(alignment
      ? [
          `Later than the reference by ${(1000 * alignment.delayS).toFixed(2)} ms, drift ` +
            `${alignment.driftPpm.toFixed(1)} ppm (${alignment.blocks} of ${alignment.of} blocks).`,
        ]
      : []),
    `Asked for: ${Object.entries(thresholds)
      .map(([name, value]) => `${name} ${value}`)
      .join(', ')}.`,
    ...notes.map((n) => `Note: ${n}.`),
  ].join('\n')}\n`;
}
