import { useCallback, useEffect, useRef, useState } from 'react';
import { type Frames, frameAt, middleOf } from './frames';

/**
 * A clip by its frames: one is wanted, and the picture follows as fast as it can seek. While it plays nothing is
 * measured; stopped, it stands on a frame again.
 */
export type Player = {
  readonly video: React.RefObject<HTMLVideoElement | null>;
  readonly frame: number;
  readonly playing: boolean;
  readonly show: (frame: number) => void;
  readonly step: (by: number) => void;
  readonly toggle: () => void;
  /** The element's own events. */
  readonly on: {
    readonly onSeeked: () => void;
    readonly onLoadedData: () => void;
    readonly onEnded: () => void;
  };
};

export function usePlayer(frames: Frames): Player {
  const video = useRef<HTMLVideoElement>(null);
  const [frame, setFrame] = useState(0);
  const [playing, setPlaying] = useState(false);
  const now = useRef(0);
  const wanted = useRef<number | null>(null);

  const follow = useCallback((): void => {
    const element = video.current;
    if (!element || element.readyState < 1 || element.seeking || wanted.current === null) return;
    const to = middleOf(frames, wanted.current);
    wanted.current = null;
    element.currentTime = to;
  }, [frames]);
  const show = useCallback(
    (to: number): void => {
      const element = video.current;
      if (element && !element.paused) element.pause();
      setPlaying(false);
      const next = Math.max(0, Math.min(frames.at.length - 1, Math.round(to)));
      now.current = next;
      setFrame(next);
      wanted.current = next;
      follow();
    },
    [frames, follow],
  );
  const stop = useCallback((): void => {
    if (video.current) show(frameAt(frames, video.current.currentTime));
  }, [frames, show]);
  const toggle = useCallback((): void => {
    const element = video.current;
    if (!element) return;
    if (element.paused) {
      setPlaying(true);
      element.play().catch(() => setPlaying(false));
    } else stop();
  }, [stop]);
  // While it plays the number follows the picture, as often as the screen is drawn.
  useEffect(() => {
    if (!playing) return;
    let drawn = 0;
    const draw = (): void => {
      const element = video.current;
      if (element && !element.paused) {
        now.current = frameAt(frames, element.currentTime);
        setFrame(now.current);
      }
      drawn = requestAnimationFrame(draw);
    };
    drawn = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(drawn);
  }, [playing, frames]);
  return {
    video,
    frame,
    playing,
    show,
    step: (by) => show(now.current + by),
    toggle,
    on: { onSeeked: follow, onLoadedData: () => show(now.current), onEnded: stop },
  };
}
