import { create } from 'zustand';
import type { CallKind } from '@/core/coaching';

/** What is being called on this device, if anything; off until somebody asks for it. */
type CallerState = { readonly kind: CallKind | null; readonly choose: (kind: CallKind | null) => void };

export const useCaller = create<CallerState>((set) => ({ kind: null, choose: (kind) => set({ kind }) }));
