import * as phrases from './phrases.ts';

/** As much of a serial port as is needed here (Web Serial; not in every browser, nor in the types of this one). */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(options: { readonly baudRate: number }): Promise<void>;
  close(): Promise<void>;
}
interface Serial {
  requestPort(): Promise<SerialPort>;
}

const serialOf = (browser: Navigator): Serial | undefined => (browser as { serial?: Serial }).serial;

/** Whether this browser has serial ports at all. */
export const hasSerial = (): boolean => serialOf(navigator) !== undefined;

/** A line that never ends is none. */
const LONGEST = 1000;

/**
 * Opens a port that the person chooses, and hands on each line as it comes. `onEnd` is told once, with the reason where
 * nobody stopped it. @throws Error where none was chosen, or it does not open
 */
export async function openSerial(
  baudRate: number,
  onLine: (text: string, inputMs: number) => void,
  onEnd: (why: string | undefined) => void,
): Promise<() => void> {
  const serial = serialOf(navigator);
  if (!serial) throw new Error(phrases.thisBrowserHasNoSerialPorts);
  const port = await serial.requestPort();
  await port.open({ baudRate });
  const reader = port.readable?.getReader();
  if (!reader) throw new Error(phrases.thisPortCannotBeRead);
  let stopped = false;
  const read = async (): Promise<void> => {
    const decoder = new TextDecoder();
    let rest = '';
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      const inputMs = performance.now();
      const lines = (rest + decoder.decode(value, { stream: true })).split(/\r?\n|\r/);
      rest = (lines.pop() ?? '').slice(-LONGEST);
      for (const line of lines) if (line.trim() !== '') onLine(line, inputMs);
    }
  };
  void read()
    .then(
      () => phrases.itEnded,
      (cause: unknown) => (cause as Error).message,
    )
    .then(async (why) => {
      reader.releaseLock();
      await port.close().catch(() => undefined);
      onEnd(stopped ? undefined : why);
    });
  return () => {
    stopped = true;
    void reader.cancel().catch(() => undefined);
  };
}
