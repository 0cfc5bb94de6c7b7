import { type Method, SCHOOLS, type SchoolKey, type Setting } from '@/core/breakdown';
import { asId, type DogId, type ElementId } from '@/core/shared';
import { elementFromMethod, withSettings } from '@/data/read';
import { wordsOf } from '@/words';
import type { LinkDraft } from './exercise-draft';

/** Where schools differ, the side that was chosen, from 0; none of a school is as the method has it. */
export type Sides = Partial<Record<SchoolKey, number>>;

/**
 * The sides that are chosen when a method is opened: of routes one has to be taken, since what follows would
 * wait for the ends of both.
 */
export const firstSides = (method: Method | null): Sides =>
  Object.fromEntries(
    (method?.schools ?? [])
      .filter((key) => SCHOOLS[key].sides.some((side) => side.sets?.some((one) => one.kind === 'route')))
      .map((key) => [key, 0]),
  );

/** What the chosen sides write into the elements. */
export const settingsOf = (sides: Sides): readonly Setting[] =>
  (Object.entries(sides) as [SchoolKey, number][]).flatMap(
    ([key, side]) => SCHOOLS[key].sides[side]?.sets ?? [],
  );

/** The links without those of a route that was not taken. */
export function onRoute(links: readonly LinkDraft[], settings: readonly Setting[]): readonly LinkDraft[] {
  const taken = settings.find((one) => one.kind === 'route');
  if (taken?.kind !== 'route') return links;
  return links.filter(({ from }) => from?.element.route === undefined || from.element.route === taken.to);
}

/**
 * Whether a setting changes anything in what this method makes: a side that speaks of a fault which no piece
 * of it has sets nothing. What holds for every piece, and a route, always does.
 */
export function takesHold(method: Method, setting: Setting): boolean {
  if (setting.kind === 'ratchet' || setting.kind === 'cues' || setting.kind === 'route') return true;
  const [id, dog] = [asId<ElementId>('made'), asId<DogId>('made')];
  return method.elements.some((element) => {
    // Values are still to be typed; what a setting looks at is there without them.
    const axes = element.axes.map(({ axis }) => ({ ...axis, start: 0, demand: 0, step: 1, limit: 1 }));
    const made = elementFromMethod(id, dog, method, element, axes);
    return JSON.stringify(withSettings(made, [setting], wordsOf)) !== JSON.stringify(made);
  });
}
