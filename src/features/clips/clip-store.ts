import { create } from 'zustand';
import type { Pixel } from '@/core/geometry';
import type { AngleOf, PlaceOf, Sound } from '@/core/review';
import type { ClipId } from '@/core/shared';
import type { Frames } from './frames';

/** A file that is open: it stays where it is, and is let go with the page. */
export type Opened = {
  readonly file: File;
  readonly url: string;
  readonly frames: Frames;
  readonly sound: boolean;
};

/** What a tap on the picture means: nothing, a place, the next point of an angle, a point of the ground. */
export type Tool =
  | { readonly kind: 'none' }
  | { readonly kind: 'place'; readonly of: PlaceOf }
  | { readonly kind: 'angle'; readonly of: AngleOf; readonly px: readonly Pixel[] }
  | { readonly kind: 'ground'; readonly point: number };

type ClipsState = {
  readonly opened: Readonly<Record<ClipId, Opened>>;
  readonly heard: Readonly<Record<ClipId, readonly Sound[]>>;
  readonly tool: Tool;
  readonly keep: (id: ClipId, opened: Opened) => void;
  readonly hear: (id: ClipId, sounds: readonly Sound[]) => void;
  readonly take: (tool: Tool) => void;
};

/** What is on the screen of this room and in no table. */
export const useClips = create<ClipsState>((set, get) => ({
  opened: {},
  heard: {},
  tool: { kind: 'none' },
  keep: (id, opened) => {
    const before = get().opened[id];
    if (before) URL.revokeObjectURL(before.url);
    set({ opened: { ...get().opened, [id]: opened } });
  },
  hear: (id, sounds) => set({ heard: { ...get().heard, [id]: sounds } }),
  take: (tool) => set({ tool }),
}));
