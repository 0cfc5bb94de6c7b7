import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { LengthChoice } from '@/core/breakdown';

/** In what somebody counts on a drawing, and whose paces: it belongs to the device. */
export const useLengthChoice = create<
  LengthChoice & { readonly choose: (change: Partial<LengthChoice>) => void }
>()(
  persist((set) => ({ unit: null, whose: null, choose: (change) => set(change) }), {
    name: 'regulon-lengths',
  }),
);
