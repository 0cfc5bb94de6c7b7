export type ButtonLook = 'signal' | 'ink' | 'plain' | 'quiet';
export type ButtonSize = 'normal' | 'big' | 'huge';

const LOOKS: Readonly<Record<ButtonLook, string>> = {
  signal: 'bg-signal text-on-signal border-ink font-bold hover:brightness-105',
  ink: 'bg-ink text-paper border-ink font-semibold hover:opacity-90',
  plain: 'bg-sheet text-ink border-ink hover:bg-paper',
  quiet:
    'bg-transparent text-ink border-transparent underline underline-offset-4 decoration-rule hover:decoration-ink',
};
/** 44 px where one reads, 56 px and more where one taps in the field. */
const SIZES: Readonly<Record<ButtonSize, string>> = {
  normal: 'min-h-11 px-4 text-base',
  big: 'min-h-14 px-5 text-lg',
  huge: 'min-h-20 px-5 text-2xl',
};

/** The look of a button, for links that act like one. */
export function buttonClass(look: ButtonLook = 'plain', size: ButtonSize = 'normal'): string {
  // `act`: of no use on paper.
  return `act inline-flex items-center justify-center gap-2 rounded-sm border-2 leading-tight disabled:opacity-60 ${LOOKS[look]} ${SIZES[size]}`;
}
