import { methodsIn } from '@/core/breakdown';
import type { RulePart } from '@/core/rulebooks';
import { activeElements, type DogWork } from '@/data/read';
import { SelectField } from '@/ui';
import { regionNow } from '@/words';
import { type LinkDraft, linkByMethod, linkFromPart, linkToExisting, type Problems } from './exercise-draft';
import { Joined } from './joined';
import { LinkFields } from './link-fields';
import { methodPieces } from './method-pieces';
import { tell } from './words';

type Props = {
  readonly link: LinkDraft;
  readonly place: number;
  readonly last: boolean;
  readonly part: RulePart | undefined;
  readonly work: DogWork;
  readonly problems: Problems;
  readonly onChange: (link: LinkDraft) => void;
};

const METHODS_HERE = methodsIn(regionNow());

/** One part of a class in the making: what trains it, and what that makes of the book's demands. */
export function ClassLink({ link, place, last, part, work, problems, onChange }: Props) {
  const mine = activeElements(work);
  const pieces = part ? methodPieces(part.title, METHODS_HERE) : [];
  const had = mine.find((one) => one.id === link.existing);
  // A piece that an earlier exercise of this page begins is trained with it.
  const earlier = link.existing !== null && !had;
  const chosen = had ? `own:${had.id}` : link.from ? `${link.from.method.id}:${link.from.element.key}` : '';
  const choose = (value: string): void => {
    if (!part) return;
    const own = mine.find((one) => `own:${one.id}` === value);
    const piece = pieces.find((one) => `${one.method.id}:${one.element.key}` === value);
    if (own) onChange(linkToExisting(own, link.id, part.id, part.demands));
    else if (piece) onChange(linkByMethod(part, piece.method, piece.element, link.id));
    else onChange(linkFromPart(part, link.id));
  };
  return (
    <div className="grid gap-2">
      {part && !earlier && (mine.length > 0 || pieces.length > 0) && (
        <SelectField
          label={tell('class-link.trained-by', { title: part.title })}
          className="max-w-xl"
          value={chosen}
          options={[
            { value: '', words: tell('class-link.a-new-element') },
            ...pieces.map(({ method, element }) => ({
              value: `${method.id}:${element.key}`,
              words: tell('class-link.of-method', { element: element.title, method: method.title }),
              group: tell('class-link.methods'),
            })),
            ...mine.map((one) => ({
              value: `own:${one.id}`,
              words: one.title,
              group: tell('class-link.what-the-dog-has'),
            })),
          ]}
          onChange={choose}
        />
      )}
      {link.existing === null ? (
        <>
          {part && part.demands.length === 0 && !link.from && (
            <p className="leading-snug">{tell('class-link.nothing-is-measured')}</p>
          )}
          <LinkFields
            link={link}
            place={place}
            last={last}
            problems={problems}
            elements={[]}
            onChange={onChange}
            onMove={null}
            onRemove={null}
          />
        </>
      ) : (
        <p className="leading-snug">
          <span className="text-ink-soft">{place + 1}. </span>
          <span className="font-semibold">{link.title}</span> {tell('class-page.trained-once-for-all')}
          {had && link.asked && <Joined demands={link.asked} element={had} />}
        </p>
      )}
    </div>
  );
}
