import type { Sound } from '@/core/review';
import { fail, ok, type Result, say } from '@/core/shared';
import address from './ear.worklet.ts?worker&url';

export type Ear = { readonly rate: number; readonly close: () => void };

/**
 * Opens the microphone and tells every click that it hears, as it was heard: no cleaning of the phone's own, which
 * takes clicks for noise. No sound leaves the worklet. Fails with `no-microphone` and `refused`.
 */
export async function openEar(onClick: (sound: Sound) => void): Promise<Result<Ear>> {
  if (!navigator.mediaDevices?.getUserMedia || typeof AudioWorkletNode === 'undefined')
    return fail('no-microphone', '', say('clips.ear.none'));
  let stream: MediaStream | null = null;
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    });
    const context = new AudioContext();
    await context.audioWorklet.addModule(address);
    const node = new AudioWorkletNode(context, 'regulon-ear', { numberOfOutputs: 0 });
    node.port.onmessage = ({ data }: MessageEvent<Sound>) => onClick(data);
    context.createMediaStreamSource(stream).connect(node);
    await context.resume();
    const tracks = stream.getTracks();
    return ok({
      rate: context.sampleRate,
      close: () => {
        node.port.onmessage = null;
        for (const track of tracks) track.stop();
        void context.close();
      },
    });
  } catch (error) {
    for (const track of stream?.getTracks() ?? []) track.stop();
    const refused = error instanceof DOMException && error.name === 'NotAllowedError';
    return refused
      ? fail('refused', '', say('clips.ear.refused'))
      : fail('no-microphone', '', say('clips.ear.none'));
  }
}
