import { useState } from 'react';
import { Link } from 'react-router';
import { useKennel } from '@/data/live';
import type { RuleBookRecord } from '@/data/read';
import { Button, buttonClass, FileButton, Notice, PageHead, Sheet } from '@/ui';
import { useEditor } from './editor-store';
import { FAMILY_WORDS } from './family-words';
import { blankDraft, copyDraft, draftFrom, FAMILIES } from './starts';
import { tell } from './words';

/** How a rule book begins: from a pasted sheet, from nothing, from a copy or a file. */
export function Beginnings({ records }: { readonly records: readonly RuleBookRecord[] }) {
  const { kennel } = useKennel();
  const { start, goTo } = useEditor();
  return (
    <>
      <PageHead title={tell('book-page.write-a-rule-book')}>{tell('book-page.begin-with')}</PageHead>
      <div className="grid gap-6 lg:grid-cols-2">
        <div className="grid content-start gap-6">
          <Sheet title={tell('book-page.from-a-sheet')}>
            <p className="mb-3 leading-snug">{tell('book-page.paste-what-you-have')}</p>
            <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/rule-books/paste`}>
              {tell('book-page.paste-a-sheet')}
            </Link>
          </Sheet>
          <Sheet title={tell('book-page.from-a-copy-or-a-file')}>
            {records.length === 0 && (
              <p className="leading-snug">{tell('book-page.no-rule-book-is-here-to-copy-one')}</p>
            )}
            <OpenFile />
            <ul className="grid gap-2">
              {records.map(({ id, book }) => (
                <li key={id}>
                  <Button className="w-full justify-start! text-left" onClick={() => start(copyDraft(book))}>
                    {tell('book-page.copy-of', { title: book.title, edition: book.edition })}
                  </Button>
                </li>
              ))}
            </ul>
          </Sheet>
        </div>
        <Sheet title={tell('book-page.from-nothing')}>
          <p className="mb-2 leading-snug">{tell('book-page.how-is-it-scored')}</p>
          <ul className="grid gap-2">
            {FAMILIES.map((family) => (
              <li key={family}>
                <Button
                  className="w-full flex-col items-start! py-2 text-left"
                  onClick={() => {
                    start(blankDraft(family));
                    goTo(['title']);
                  }}
                >
                  <span className="font-bold">{FAMILY_WORDS[family].title}</span>
                  <span className="text-sm">{FAMILY_WORDS[family].words}</span>
                </Button>
              </li>
            ))}
          </ul>
        </Sheet>
      </div>
    </>
  );
}

function OpenFile() {
  const start = useEditor((state) => state.start);
  const [refused, setRefused] = useState<string | null>(null);
  return (
    <div className="mb-3">
      <FileButton
        label={tell('book-page.open-a-file')}
        inputLabel={tell('book-page.rule-book-file')}
        onFile={async (file) => {
          const read = draftFrom(await file.text());
          setRefused(read ? null : tell('book-page.is-no-rule-book-file', { name: file.name }));
          if (read) start(read);
        }}
      />
      {refused && (
        <div className="mt-2">
          <Notice tone="alert" role="alert">
            {refused}
          </Notice>
        </div>
      )}
    </div>
  );
}
