// Runs on the audio thread: passes samples on, in pieces of some 20 ms, so that nothing there computes.

declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}
declare const registerProcessor: (
  name: string,
  processor: new () => AudioWorkletProcessor & { process(inputs: Float32Array[][]): boolean },
) => void;

const PIECE = 1024;

class Tap extends AudioWorkletProcessor {
  private piece = new Float32Array(PIECE);
  private filled = 0;

  process([input]: Float32Array[][]): boolean {
    const samples = input?.[0];
    if (!samples) return true;
    this.piece.set(samples, this.filled);
    this.filled += samples.length;
    if (this.filled < PIECE) return true;
    this.port.postMessage(this.piece, [this.piece.buffer]);
    this.piece = new Float32Array(PIECE);
    this.filled = 0;
    return true;
  }
}
registerProcessor('tap', Tap);
