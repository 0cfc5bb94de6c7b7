import { useEffect, useMemo, useRef } from 'react';
import { useNavigate } from 'react-router';
import { type ReadLine, readSheet } from '@/core/rulebooks';
import { ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import { Button, Notice, PageHead, SelectField, Sheet, useUndo } from '@/ui';
import { useEditor } from '../editor/editor-store';
import { FAMILY_WORDS } from '../editor/family-words';
import { FAMILIES } from '../editor/starts';
import { tell } from '../editor/words';
import { draftFromSheet, familyOfSheet } from './draft-from-sheet';
import { usePaste } from './paste-store';
import { PastedLines } from './pasted-lines';

/** A judging sheet as it was copied: read line by line, settled where it is not clear, and made a table of. */
export function PastePage() {
  const { kennel } = useKennel();
  const { lines, open } = usePaste();
  const openDraft = useEditor((state) => state.open);
  useEffect(() => {
    open(kennel.name);
    openDraft(kennel.name);
  }, [open, openDraft, kennel.name]);
  return (
    <>
      <PageHead title={tell('book-paste.title')}>{tell('book-paste.what-happens')}</PageHead>
      {lines === null ? <TextIn /> : <Readings />}
    </>
  );
}

function TextIn() {
  const { text, type, read } = usePaste();
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() !== '') read();
      }}
      className="grid max-w-4xl gap-3"
    >
      <label className="block">
        <span className="font-semibold">{tell('book-paste.the-sheet')}</span>
        <textarea
          className="mt-1 block w-full border-2 border-ink bg-paper p-2 leading-snug"
          rows={16}
          value={text}
          placeholder={tell('book-paste.example')}
          onChange={(event) => type(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && text.trim() !== '') read();
          }}
        />
      </label>
      <p>
        <Button type="submit" look="signal" size="big" aria-disabled={text.trim() === ''}>
          {tell('book-paste.read-it')}
        </Button>
      </p>
      <p className="text-sm text-ink-soft">{tell('book-paste.nothing-leaves')}</p>
    </form>
  );
}

/** A line that somebody has to settle: nothing was read from it, or it can be meant otherwise. */
const isOpenLine = (line: ReadLine, index: number, right: readonly number[]): boolean =>
  line.doubt !== null && !(right.includes(index) && line.readings.length > 0);

function Readings() {
  const { lines, right, family: chosen, again, close, score } = usePaste();
  const { kennel } = useKennel();
  const navigate = useNavigate();
  const settle = useUndo((state) => state.done);
  const read = useMemo(() => readSheet(lines ?? []), [lines]);
  const openLines = read.flatMap((line, i) => (isOpenLine(line, i, right) ? [i] : []));
  const family = chosen ?? familyOfSheet(read);
  const { draft, left } = useMemo(() => draftFromSheet(read, family), [read, family]);
  const list = useRef<HTMLDivElement>(null);
  const count = (is: string): number =>
    read.reduce((sum, line) => sum + line.readings.filter((one) => one.is === is).length, 0);
  const make = async (): Promise<void> => {
    if (openLines.length > 0) {
      list.current?.querySelector<HTMLElement>('[data-open-line] input')?.focus();
      return;
    }
    const { draft: was, origin, start } = useEditor.getState();
    start(draft);
    if (was !== null)
      settle(tell('book-page.the-draft-is-put-away'), async () => {
        start(was, origin);
        return ok(null);
      });
    close();
    await navigate(`/${kennel.name}/rule-books/write`);
  };
  return (
    <div className="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_19rem]">
      <div ref={list} className="min-w-0">
        <PastedLines read={read} open={openLines} />
      </div>
      <Sheet
        title={tell('book-paste.so-far')}
        className="order-first self-start lg:sticky lg:top-4 lg:order-none"
      >
        <div aria-live="polite" className="leading-snug">
          <p className="text-lg">
            {tell('book-paste.counts', { exercises: count('exercise'), faults: count('fault') })}
          </p>
          <p className="font-semibold">
            {openLines.length === 0
              ? tell('book-paste.all-settled')
              : tell('book-paste.to-settle', { n: openLines.length })}
          </p>
        </div>
        <SelectField
          className="my-3"
          label={tell('book-paste.how-scored')}
          value={family}
          options={FAMILIES.map((one) => ({ value: one, words: FAMILY_WORDS[one].title }))}
          onChange={score}
        />
        {chosen === null && (
          <p className="mb-3 text-sm text-ink-soft">
            {tell('book-paste.taken-from', { coefficients: family === 'weighted-marks' })}
          </p>
        )}
        {left.length > 0 && (
          <Notice>
            {tell('book-paste.no-place-for')}
            <ul className="list-inside list-disc">
              {left.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
          </Notice>
        )}
        <div className="grid gap-2 pt-2">
          <Button look="signal" size="big" onClick={() => void make()}>
            {tell('book-paste.make-the-table', { n: read.length })}
          </Button>
          <Button onClick={again}>{tell('book-paste.back-to-the-text')}</Button>
        </div>
      </Sheet>
    </div>
  );
}
