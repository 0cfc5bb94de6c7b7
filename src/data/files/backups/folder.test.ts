import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { wordsOf } from '@/words';
import '@/features/files/words';
import { type BackupFolder, listBackups, mayWrite, readBackup, writeBackup } from './folder';

/** A folder in memory that fails as browsers do. */
function folderOf(names: readonly string[] = []) {
  const files = new Map<string, Blob>(names.map((name) => [name, new Blob(['old'])]));
  let fault: 'gone' | 'full' | 'permission' | 'half' | null = null;
  const raise = (name: string): never => {
    throw new DOMException('no', name);
  };
  const check = (): void => {
    if (fault === 'gone') raise('NotFoundError');
    if (fault === 'permission') raise('NotAllowedError');
  };
  const handleOf = (name: string) => ({
    kind: 'file' as const,
    getFile: async () => new File([files.get(name) ?? raise('NotFoundError')], name),
    createWritable: async () => {
      let next = new Blob([]);
      return {
        write: async (content: Blob) => {
          next = fault === 'half' ? content.slice(0, 3) : content;
        },
        close: async () => {
          if (fault === 'full') raise('QuotaExceededError');
          files.set(name, next);
        },
      };
    },
  });
  const folder = {
    name: 'backups',
    entries: async function* () {
      check();
      for (const name of files.keys()) yield [name, handleOf(name)];
    },
    getFileHandle: async (name: string, wish?: { create?: boolean }) => {
      check();
      if (!files.has(name) && !wish?.create) raise('NotFoundError');
      if (!files.has(name)) files.set(name, new Blob([]));
      return handleOf(name);
    },
    removeEntry: async (name: string) => {
      files.delete(name);
    },
  } as unknown as BackupFolder;
  return {
    folder,
    files,
    fail: (next: typeof fault) => {
      fault = next;
    },
  };
}

const AT = Date.UTC(2026, 1, 28, 18);
const DAY = 86_400_000;
const content = new Blob(['{"whole": true}']);

describe('backups in a folder', () => {
  it('are written, listed newest first, read back, thinned, and nothing else is touched', async () => {
    const { folder, files } = folderOf(['holiday.jpg', 'regulon-sample-backup-20200101T000000Z.json']);
    for (let day = 0; day < 40; day++) must(await writeBackup(folder, 'own', AT + day * DAY, content));
    const list = must(await listBackups(folder, 'own'));
    expect(list[0]?.at).toBe(AT + 39 * DAY);
    expect(list.length).toBeLessThan(16);
    expect(
      await must(
        await readBackup(folder, list[0] ?? must(await writeBackup(folder, 'own', AT, content))),
      ).text(),
    ).toBe('{"whole": true}');
    expect([...files.keys()]).toEqual(
      expect.arrayContaining(['holiday.jpg', 'regulon-sample-backup-20200101T000000Z.json']),
    );
  });

  it.each([
    ['gone', 'gone', /not there any more .* choose another folder/],
    ['full', 'full', /no room left in the folder.*older backups are as they were/],
    ['permission', 'permission', /does not let the folder be written/],
    ['half', 'cut', /not written whole, and was taken out again/],
  ] as const)('a folder that is %s says so and leaves the older ones', async (fault, code, words) => {
    const { folder, files, fail } = folderOf();
    must(await writeBackup(folder, 'own', AT, content));
    fail(fault);
    const failed = await writeBackup(folder, 'own', AT + DAY, content);
    expect(failed).toMatchObject({ ok: false, code });
    expect(wordsOf(failed.ok ? '' : failed.message)).toMatch(words);
    expect([...files.keys()]).toEqual(['regulon-own-backup-20260228T180000Z.json']);
    fail(null);
    must(await writeBackup(folder, 'own', AT + DAY, content));
    expect([...files.keys()]).toHaveLength(2);
  });

  it('never writes over an older one, also where the clock was set back', async () => {
    const { folder, files, fail } = folderOf();
    must(await writeBackup(folder, 'own', AT, content));
    must(await writeBackup(folder, 'own', AT, new Blob(['{}'])));
    expect(files.size).toBe(2);
    fail('full');
    await writeBackup(folder, 'own', AT, content);
    expect(files.size).toBe(2);
  });

  it('asks only right after a tap, and takes a refusal for one', async () => {
    let asked = 0;
    const guarded = (state: PermissionState, answer: PermissionState) =>
      ({
        queryPermission: async () => state,
        requestPermission: async () => {
          asked += 1;
          return answer;
        },
      }) as unknown as BackupFolder;
    expect(await mayWrite(guarded('granted', 'denied'), false)).toBe(true);
    expect(await mayWrite(guarded('prompt', 'granted'), false)).toBe(false);
    expect(asked).toBe(0);
    expect(await mayWrite(guarded('prompt', 'granted'), true)).toBe(true);
    expect(await mayWrite(guarded('prompt', 'denied'), true)).toBe(false);
  });
});
