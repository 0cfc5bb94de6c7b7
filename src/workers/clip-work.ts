import { AudioSampleSink, BlobSource, EncodedPacketSink, Input, MP4, QTFF, WEBM } from 'mediabunny';
import { openListener, type Sound } from '@/core/review';
import { fail, mixSeed, ok, type Result, say } from '@/core/shared';
import type { ClipAnswers, ClipSaid, ClipTask, Heard, OpenedClip } from './clip-tasks';

/** Bytes at either end that tell a file from another of the same size. */
const END = 65_536;

const inputOf = (file: File): Input =>
  new Input({ source: new BlobSource(file), formats: [MP4, QTFF, WEBM] });

/** Never rejects for what a file holds; what cannot be read of it is a failure in words. */
export async function clipWork(
  task: ClipTask,
  tell: (said: ClipSaid) => void,
): Promise<Result<ClipAnswers[ClipTask['kind']]>> {
  switch (task.kind) {
    case 'open':
      return openFile(task.file);
    case 'listen':
      return listenTo(task.file, tell);
  }
}

async function openFile(file: File): Promise<Result<OpenedClip>> {
  if (file.size === 0) return fail('empty', file.name, say('clips.file.empty'));
  const ends = await endsOf(file);
  const print = (seconds: number) => ({ size: file.size, seconds: Math.round(seconds * 1000) / 1000, ends });
  const unread: OpenedClip = { print: print(0), frames: new Float64Array(), sound: false, packed: null };
  using input = inputOf(file);
  try {
    if (!(await input.canRead())) return ok(unread);
    const [video, audio] = [await input.getPrimaryVideoTrack(), await input.getPrimaryAudioTrack()];
    const sound = audio !== null;
    if (!video) return ok({ ...unread, sound });
    const frames: number[] = [];
    for await (const packet of new EncodedPacketSink(video).packets(undefined, undefined, {
      metadataOnly: true,
    }))
      if (packet.timestamp + packet.duration > 0) frames.push(packet.timestamp);
    const sorted = Float64Array.from(frames).sort();
    const last = sorted.at(-1) ?? 0;
    return ok({
      print: print(last + usualLength(sorted)),
      frames: sorted,
      sound,
      packed: await video.getCodec(),
    });
  } catch {
    // A file that is broken somewhere may still be shown by the browser.
    return ok(unread);
  }
}

/** The usual length of a frame: the median of the differences. */
const usualLength = (frames: Float64Array): number => {
  const steps = frames.subarray(1).map((at, i) => at - (frames[i] as number));
  return steps.length === 0 ? 0 : (steps.sort()[steps.length >> 1] as number);
};

/** A print of both ends of a file, 64 bits. */
async function endsOf(file: File): Promise<string> {
  const pieces = await Promise.all(
    [file.slice(0, END), file.slice(Math.max(0, file.size - END))].map((piece) => piece.arrayBuffer()),
  );
  let [one, two] = [1, 2];
  for (const piece of pieces)
    for (const byte of new Uint8Array(piece)) {
      one = Math.imul(one ^ byte, 0x01000193);
      two = Math.imul(two + byte, 0x85ebca6b) ^ (two >>> 15);
    }
  return [mixSeed(one, two), mixSeed(two, one, file.size)]
    .map((part) => part.toString(16).padStart(8, '0'))
    .join('');
}

/** Decodes the sound piece by piece, mixes it to one channel, and keeps only what was heard in it. */
async function listenTo(file: File, tell: (said: ClipSaid) => void): Promise<Result<Heard>> {
  using input = inputOf(file);
  try {
    const track = (await input.canRead()) ? await input.getPrimaryAudioTrack() : null;
    if (!track) return fail('silent', file.name, say('clips.sound.none'));
    if (!(await track.canDecode()))
      return fail(
        'codec',
        file.name,
        say('clips.sound.not-decoded', { packed: (await track.getCodec()) ?? '' }),
      );
    const length = (await input.getDurationFromMetadata()) ?? 0;
    const rate = await track.getSampleRate();
    const listener = openListener(rate);
    const sounds: Sound[] = [];
    let [from, told] = [null as number | null, 0];
    for await (const sample of new AudioSampleSink(track).samples()) {
      from ??= sample.timestamp;
      const mono = new Float32Array(sample.numberOfFrames);
      const channel = new Float32Array(sample.numberOfFrames);
      for (let plane = 0; plane < sample.numberOfChannels; plane++) {
        sample.copyTo(channel, { planeIndex: plane, format: 'f32-planar' });
        for (let i = 0; i < mono.length; i++)
          mono[i] = (mono[i] as number) + (channel[i] as number) / sample.numberOfChannels;
      }
      const at = sample.timestamp;
      sample.close();
      sounds.push(...listener.hear(mono));
      if (length > 0 && at - told > length / 50) {
        told = at;
        tell({ share: Math.min(1, at / length) });
      }
    }
    sounds.push(...listener.end());
    const begin = from ?? 0;
    return ok({
      rate,
      sounds: sounds.map((one) => ({ ...one, at: one.at + begin, until: one.until + begin })),
    });
  } catch (error) {
    return fail('sound', file.name, say('clips.sound.broken', { why: String(error) }));
  }
}
