import type { RuleBook } from '@/core/rulebooks';
import { fail, type MarkId, ok, type Result, say } from '@/core/shared';
import type { GivenSlot } from '@/core/trials';
import { wordsOf } from '@/words';
import { tell } from './words';

/** A number that can be given outright: for the whole, or for each ability, panel or try. */
export type SlotView = {
  readonly slot: GivenSlot;
  readonly label: string;
  readonly value: number | null;
  readonly id: MarkId | null;
};

/**
 * A number given outright, as typed: “8,5”, or a letter where the exercise knows letters. Fails with `given`
 * where it is none of the slot’s steps.
 */
export function readGiven(slot: GivenSlot, text: string): Result<number> {
  const clean = text.trim();
  const letter = slot.letters.find((one) => one.letter.toLowerCase() === clean.toLowerCase());
  if (letter) return ok(letter.points);
  const value = Number(clean.replace(',', '.'));
  const steps = value / slot.step;
  const known = !slot.only || value === 0 || slot.letters.some(({ points }) => points === value);
  const fits =
    clean !== '' && known && value >= 0 && value <= slot.most && Math.abs(steps - Math.round(steps)) < 1e-9;
  return fits
    ? ok(value)
    : fail(
        'given',
        '',
        say('given-slots.is-no-number-of-this', { text: clean, most: slot.most, step: slot.step }),
      );
}

/** How a number of an exercise is asked for. */
export function slotLabel({ rules }: RuleBook, slot: GivenSlot): string {
  const title = slot.title === null ? null : wordsOf(slot.title);
  switch (rules.family) {
    case 'time-and-faults':
      return tell('given-slots.or-its-faults');
    case 'checklist':
      return tell('given-slots.or-done');
    case 'measured':
      return tell('given-slots.what-was-measured', { title, measure: rules.measure });
    case 'weighted-marks':
    case 'abilities':
      return title === null
        ? tell('given-slots.or-its-mark')
        : tell('given-slots.or-the-mark-for', { title });
    default:
      return slot.letters.length > 0
        ? tell('given-slots.or-its-points-or-letter')
        : tell('given-slots.or-its-points');
  }
}
