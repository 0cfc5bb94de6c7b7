import { useState } from 'react';
import { type DogId, type Failure, fail, ok, type Result, say } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Clip } from '@/data/read';
import { openClip } from '@/data/write';
import { clipDesk } from '@/workers/client';
import { useClips } from './clip-store';
import { framesOf } from './frames';

/** Opens a file that somebody chose: its marks return, whatever it is called by now. Nothing of it is copied. */
export function useOpenClip() {
  const { kennel } = useKennel();
  const { keep } = useClips();
  const [state, setState] = useState<{ readonly busy: boolean; readonly failure: Failure | null }>({
    busy: false,
    failure: null,
  });
  const open = async (file: File, dogId: DogId): Promise<Clip | null> => {
    setState({ busy: true, failure: null });
    const opened = await opening(file);
    if (!opened.ok) {
      setState({ busy: false, failure: opened });
      return null;
    }
    const { print, picture, frames, sound, url } = opened.value;
    const kept = await openClip(kennel, { dogId, name: file.name, print, picture, frame: frames.usual });
    setState({ busy: false, failure: kept.ok ? null : kept });
    if (!kept.ok) {
      URL.revokeObjectURL(url);
      return null;
    }
    keep(kept.value.made.id, { file, url, frames, sound });
    return kept.value.made;
  };
  return { ...state, open };
}

/** What the file says of itself, and how large the browser shows it. */
async function opening(file: File) {
  const read = await clipDesk.ask({ kind: 'open', file });
  if (!read.ok) return read;
  const { print, frames: times, sound, packed } = read.value;
  const url = URL.createObjectURL(file);
  const shown = await showing(url, packed);
  if (!shown.ok) {
    URL.revokeObjectURL(url);
    return shown;
  }
  const seconds = print.seconds || shown.value.seconds;
  const frames = framesOf(times, seconds);
  const { width, height } = shown.value;
  return ok({ print: { ...print, seconds }, picture: { width, height }, frames, sound, url });
}

type Shown = { readonly width: number; readonly height: number; readonly seconds: number };

/** Tries a file in the browser's own player. What it cannot unpack it loads without a picture. */
function showing(url: string, packed: string | null): Promise<Result<Shown>> {
  const video = document.createElement('video');
  video.preload = 'metadata';
  video.muted = true;
  return new Promise((resolve) => {
    const refuse = (): void =>
      resolve(fail('not-shown', '', say('clips.file.not-shown', { packed: packed ?? 'other' })));
    video.onerror = refuse;
    video.onloadedmetadata = () => {
      const { videoWidth: width, videoHeight: height, duration } = video;
      if (width === 0 || height === 0) return refuse();
      resolve(ok({ width, height, seconds: Number.isFinite(duration) ? duration : 0 }));
    };
    video.src = url;
  });
}
