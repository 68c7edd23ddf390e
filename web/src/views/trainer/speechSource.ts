/** The trainers' speech, over and over. */
export async function speechSource(
  context: AudioContext,
): Promise<AudioBufferSourceNode & { readonly buffer: AudioBuffer }> {
  const response = await fetch('/trainer/speech.wav');
  const buffer = await context.decodeAudioData(await response.arrayBuffer());
  return Object.assign(context.createBufferSource(), { buffer, loop: true });
}
