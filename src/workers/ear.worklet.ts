import { openListener } from '@/core/review';

/** What a worklet's own scope has, and no library of types names. */
declare const sampleRate: number;
declare const registerProcessor: (name: string, processor: new () => object) => void;
declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}

/** Hears the microphone sample by sample, tells what clicked, and keeps nothing. */
class Ear extends AudioWorkletProcessor {
  private readonly listener = openListener(sampleRate);

  process([input]: readonly (readonly Float32Array[])[]): boolean {
    const channel = input?.[0];
    if (channel)
      for (const sound of this.listener.hear(channel))
        if (sound.kind === 'click') this.port.postMessage(sound);
    return true;
  }
}
registerProcessor('regulon-ear', Ear);
