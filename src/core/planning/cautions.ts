import type { Caution, CautionContext } from './caution-rule';
import { OF_THE_BODY } from './cautions-of-the-body';
import { OF_THE_KIT } from './cautions-of-the-kit';

/**
 * The cautions that hold for a dog, a day and a piece of work, most binding first. General ones:
 * local law, the land owner, the event's own current rules and licensed professionals come first.
 * No degree or hour is compared with a limit of this program's own, and an age only chooses which question
 * is asked.
 */
export function cautionsFor(context: CautionContext): Caution[] {
  const found = [...OF_THE_BODY, ...OF_THE_KIT].flatMap((rule): Caution[] => {
    const said = rule.of(context);
    return said ? [{ id: rule.id, ...said }] : [];
  });
  return [...found.filter((one) => one.must), ...found.filter((one) => !one.must)];
}
