import type { VoiceNote } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import * as phrases from './phrases.ts';

/** A note is a few words: 20 s at 16 kbit/s are 40 kB. */
const LONGEST_MS = 20_000;
const BITS_PER_S = 16_000;

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  return btoa(Array.from(bytes, (b) => String.fromCharCode(b)).join(''));
}

/** Records a spoken note on the device itself; it goes into the log like any other event. */
export function useVoiceNote(onKept: (note: VoiceNote) => void): {
  recording: boolean;
  trouble: string | undefined;
  toggle: () => void;
} {
  const [recording, setRecording] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const recorder = useRef<MediaRecorder>(undefined);
  useEffect(() => () => recorder.current?.stream.getTracks().forEach((t) => t.stop()), []);
  const start = async (): Promise<void> => {
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      const made = new MediaRecorder(stream, { audioBitsPerSecond: BITS_PER_S });
      const parts: Blob[] = [];
      const sinceMs = performance.now();
      made.ondataavailable = ({ data }) => void parts.push(data);
      made.onstop = () => {
        stream.getTracks().forEach((t) => t.stop());
        setRecording(false);
        const seconds = Math.round(performance.now() - sinceMs) / 1000;
        void base64Of(new Blob(parts)).then((base64) =>
          onKept({ mime: made.mimeType || 'audio/webm', base64, seconds }),
        );
      };
      recorder.current = made;
      made.start();
      setRecording(true);
      setTrouble(undefined);
      setTimeout(() => {
        if (made.state === 'recording') made.stop();
      }, LONGEST_MS);
    } catch {
      setTrouble(phrases.noMicrophoneOrItWasRefused);
    }
  };
  return {
    recording,
    trouble,
    toggle: () => {
      if (recording) recorder.current?.stop();
      else void start();
    },
  };
}
