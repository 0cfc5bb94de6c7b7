import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import { listRuleBooks } from '@/data/read';
import { Button, Notice, PageHead, useUndo } from '@/ui';
import { Beginnings } from './beginnings';
import { checkDraft } from './check';
import { CheckPanel } from './check-panel';
import { ClassNames, ClassRules } from './class-part';
import { type Draft, textAt } from './draft';
import { useEditor } from './editor-store';
import { copyDraft, correctDraft } from './starts';
import { Table } from './table';
import { useTarget } from './use-target';
import { tell } from './words';

/**
 * Write a rule book: from nothing, from what is pasted, from a copy, or a saved one corrected, checked while
 * typing. `?correct=` and `?copy=` name a saved book.
 */
export function EditorPage() {
  const { kennel } = useKennel();
  const { draft, origin, open, start } = useEditor();
  const settle = useUndo((state) => state.done);
  const [params, setParams] = useSearchParams();
  const records = useLiveQuery(async () => listRuleBooks(kennel), [kennel]);
  useEffect(() => open(kennel.name), [open, kennel.name]);
  const wanted = params.get('correct') ?? params.get('copy');
  const book = records?.find((one) => one.id === wanted)?.book;
  const begin = (): void => {
    if (!book) return;
    const correcting = params.has('correct');
    start(correcting ? correctDraft(book) : copyDraft(book), correcting ? book.id : null);
    setParams({}, { replace: true });
  };
  const inHand = draft !== null && wanted !== null && !(params.has('correct') && origin === wanted);
  useEffect(() => {
    if (wanted === null || !book) return;
    if (draft === null) begin();
    else if (!inHand) setParams({}, { replace: true });
  });
  if (records === undefined) return <p className="text-lg">{tell('book-page.opening')}</p>;
  if (wanted !== null && inHand && book)
    return (
      <InHand
        draft={draft}
        wanted={book.title}
        onGoOn={() => setParams({}, { replace: true })}
        onBegin={() => {
          begin();
          settle(tell('book-page.the-draft-is-put-away'), async () => {
            start(draft, origin);
            return ok(null);
          });
        }}
      />
    );
  const books = records.map((one) => one.id as string);
  return draft ? <Editor draft={draft} books={books} /> : <Beginnings records={records} />;
}

/** Two drafts do not lie in one hand: which of them goes on is asked, never lost in silence. */
function InHand({
  draft,
  wanted,
  onGoOn,
  onBegin,
}: {
  readonly draft: Draft;
  readonly wanted: string;
  readonly onGoOn: () => void;
  readonly onBegin: () => void;
}) {
  const title = textAt(draft, ['title']) || tell('book-page.a-rule-book');
  return (
    <>
      <PageHead title={tell('book-page.a-draft-is-in-hand')} />
      <Notice>{tell('book-page.which-goes-on', { title, wanted })}</Notice>
      <p className="mt-4 flex flex-wrap gap-3">
        <Button look="signal" size="big" onClick={onGoOn}>
          {tell('book-page.go-on-with', { title })}
        </Button>
        <Button size="big" onClick={onBegin}>
          {tell('book-page.drop-it-and-begin', { wanted })}
        </Button>
      </p>
    </>
  );
}

function Editor({ draft, books }: { readonly draft: Draft; readonly books: readonly string[] }) {
  const { origin, kept } = useEditor();
  const others = useMemo(() => books.filter((id) => id !== origin), [books, origin]);
  const checked = useMemo(() => checkDraft(draft, others), [draft, others]);
  useTarget();
  const title = textAt(draft, ['title']) || tell('book-page.a-rule-book');
  return (
    <>
      <PageHead
        title={
          origin === null ? tell('book-page.writing', { title }) : tell('book-page.correcting', { title })
        }
      >
        {tell('book-page.what-you-type-is-checked-at-once')}
      </PageHead>
      {!kept && (
        <div className="mb-4">
          <Notice tone="alert" role="alert">
            {tell('book-page.not-kept')}
          </Notice>
        </div>
      )}
      <div className="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_19rem]">
        <div className="grid min-w-0 content-start gap-6">
          <ClassNames draft={draft} />
          <Table draft={draft} checked={checked} />
          <ClassRules draft={draft} />
        </div>
        <CheckPanel draft={draft} checked={checked} books={others} />
      </div>
    </>
  );
}
