import { type Result, say } from '@/core/shared';
import type { RunFile } from '@/data/files/run-file';
import type { Kennel } from '@/data/kennel';
import type { Run } from '@/data/records';
import { type RowChange, refuse, transact, type Undo, type Write } from './transact';

/** What came with a run of another device. */
export type TakenRun = { readonly run: Run; readonly news: number; readonly isNew: boolean };

/**
 * Takes a run of another device in: the run, its book and its people where they are not known here, and the
 * marks that are not here yet. Twice is as once; nothing that is here is changed. What the run names and
 * this kennel does not know (its dog, its meeting) is left out here. Fails with `book` where the rule book
 * neither came nor is here.
 */
export function takeRun(kennel: Kennel, file: RunFile): Promise<Result<Undo<TakenRun>>> {
  return transact(
    kennel,
    ['runs', 'marks', 'people', 'ruleBooks', 'callings', 'dogs', 'trials', 'meetings', 'scripts'],
    async (write) => {
      const { book, calling, script } = file;
      if (!(await write.get('ruleBooks', file.run.book))) {
        if (!book) return refuse('book', 'book', say('data.take-run.its-rule-book-is-not-here'));
        await write.put('ruleBooks', { id: book.id, book, addedAt: kennel.now(), putAway: false });
      }
      for (const person of file.people)
        if (!(await write.get('people', person.id)))
          await write.raw([{ table: 'people', id: person.id, before: null, after: person }]);
      const known = await write.get('runs', file.run.id);
      const run = known ?? (await write.put('runs', await fitting(write, file.run)));
      const here = new Set((await write.marksOf(run.id)).map((mark) => mark.id));
      const news = file.marks.filter((mark) => !here.has(mark.id));
      await write.raw(
        news.map((mark): RowChange => ({ table: 'marks', id: mark.id, before: null, after: mark })),
      );
      if (calling && !(await write.get('callings', run.id))) await write.put('callings', calling);
      if (script && !(await write.get('scripts', run.book)))
        await write.put('scripts', { id: run.book, ...script });
      return { run, news: news.length, isNew: known === null };
    },
  );
}

/** A run without what this kennel does not know. */
async function fitting(write: Write, run: Run): Promise<Run> {
  const has = async (table: 'dogs' | 'trials' | 'meetings', id: string | null): Promise<boolean> =>
    id !== null && (await write.get(table, id)) !== null;
  return {
    ...run,
    dogId: (await has('dogs', run.dogId)) ? run.dogId : null,
    trial: (await has('trials', run.trial)) ? run.trial : null,
    meeting: (await has('meetings', run.meeting)) ? run.meeting : null,
  };
}
