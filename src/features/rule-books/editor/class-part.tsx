import type { Rules } from '@/core/rulebooks';
import { Sheet } from '@/ui';
import { classMore } from './class-more-specs';
import { CLASS_FIELDS } from './class-specs';
import type { Draft } from './draft';
import { useEditor } from './editor-store';
import { FAMILY_WORDS } from './family-words';
import { SpecFields } from './spec-fields';
import { type FieldSpec, text } from './specs';
import { familyIn } from './typed-values';
import { tell } from './words';

const NAMES: readonly FieldSpec[] = [
  text(tell('book-page.name'), 'title'),
  text(tell('book-page.edition'), 'edition'),
];
const NOTE: FieldSpec = { kind: 'text', path: ['note'], label: tell('book-page.note'), wide: true };
const isAward = ({ path }: FieldSpec): boolean => path[1] === 'awards';

/** What the class is called, over its exercises as on a judging sheet. */
export function ClassNames({ draft }: { readonly draft: Draft }) {
  return <SpecFields draft={draft} base={[]} specs={NAMES} context={tell('book-place.the-class')} />;
}

/** How the class is passed, below its exercises as on a judging sheet; awards and what is seldom are folded. */
export function ClassRules({ draft }: { readonly draft: Draft }) {
  const family: Rules['family'] = familyIn(draft);
  return (
    <Sheet title={tell('book-page.how-it-is-passed')} aside={FAMILY_WORDS[family].title}>
      <div className="grid gap-4">
        <SpecFields
          draft={draft}
          base={[]}
          specs={CLASS_FIELDS[family].filter((one) => !isAward(one))}
          context={tell('book-place.the-class')}
        />
        <div className="flex flex-wrap gap-x-8">
          <Fold
            id="awards"
            title={tell('book-page.awards-and-note')}
            draft={draft}
            specs={[...CLASS_FIELDS[family].filter(isAward), NOTE]}
          />
          <Fold
            id="more"
            title={tell('book-page.more-of-the-class')}
            draft={draft}
            specs={classMore(family)}
          />
        </div>
      </div>
    </Sheet>
  );
}

type FoldProps = {
  readonly id: string;
  readonly title: string;
  readonly draft: Draft;
  readonly specs: readonly FieldSpec[];
};

function Fold({ id, title, draft, specs }: FoldProps) {
  const { unfolded, fold } = useEditor();
  const open = unfolded.has(id);
  return (
    <details
      open={open}
      onToggle={(event) => fold(id, event.currentTarget.open)}
      className={open ? 'w-full' : ''}
    >
      <summary className="min-h-11 cursor-pointer py-2.5 underline decoration-rule underline-offset-4">
        {title}
      </summary>
      {open && <SpecFields draft={draft} base={[]} specs={specs} context={tell('book-place.the-class')} />}
    </details>
  );
}
