/**
 * What is taken for which sound; decibels and seconds. `flux`: the mean rise over all bands from one frame to the
 * next that begins a sound, beside `spread` times the usual spread of it. A click is over within `short`, and
 * lifts at least `broad` bands by 6 dB. `tonal`: the share of the power of a frame within three bins that makes
 * it a tone.
 */
export const HEARD = {
  flux: 1.6,
  spread: 6,
  short: 0.03,
  broad: 2,
  fall: 4,
  step: 2.5,
  tonal: 0.55,
  tone: 0.08,
  lift: 6,
  voice: 0.09,
  longest: 2,
  voiced: 0.55,
  after: 0.045,
  gap: 0.12,
} as const;
