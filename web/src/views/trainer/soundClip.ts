import { CLIP_S, lossesOf, uniform, type PlayingClip } from './clip.ts';
import { speechSource } from './speechSource.ts';
import { tuneSource } from './tuneSource.ts';

/** Plays a piece of speech, or of a tune, of which so much is lost. @throws DOMException where there is no sound */
export async function playSound(of: 'speech' | 'sound', level: number): Promise<PlayingClip> {
  const context = new AudioContext({ latencyHint: 'interactive' });
  await context.resume();
  const source = of === 'speech' ? await speechSource(context) : tuneSource(context);
  const volume = context.createGain();
  source.connect(volume).connect(context.destination);
  const startS = context.currentTime + 0.1;
  for (const { fromS, toS } of lossesOf(level)) {
    volume.gain.setValueAtTime(0, startS + fromS);
    volume.gain.setValueAtTime(1, startS + toS);
  }
  source.start(startS, uniform() * source.buffer.duration);
  source.stop(startS + CLIP_S);
  const over = new Promise<void>((resolve) => {
    source.onended = () => {
      void context.close();
      resolve();
    };
  });
  return {
    over,
    stop: () => {
      if (context.state !== 'closed') void context.close();
    },
  };
}
