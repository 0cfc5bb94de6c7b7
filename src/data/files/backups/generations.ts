/** A backup in a folder: its file, and when it was made by the clock of whoever made it. */
export type Backup = { readonly file: string; readonly kennel: string; readonly at: number };

const NAME = /^regulon-(.+)-backup-(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})(\d{2})Z\.json$/;

/** What a backup is called: `backupName('own', 0)` → 'regulon-own-backup-19700101T000000Z.json'. */
export function backupName(kennel: string, at: number): string {
  const stamp = new Date(at).toISOString().replace(/[-:]|\.\d+/g, '');
  return `regulon-${kennel}-backup-${stamp}.json`;
}

/** A file as a backup; null where it is something else, which is never touched. */
export function backupOf(file: string): Backup | null {
  const found = NAME.exec(file);
  if (!found) return null;
  const [, kennel = '', ...parts] = found;
  const [year, month, day, hour, minute, second] = parts.map(Number);
  const at = Date.UTC(year ?? 0, (month ?? 1) - 1, day, hour, minute, second);
  return backupName(kennel, at) === file ? { file, kennel, at } : null;
}

/** So many days, weeks and months back one generation is kept of each. */
const KEPT = [
  [7, 86_400_000],
  [5, 7 * 86_400_000],
  [12, 30 * 86_400_000],
] as const;
/** The newest are kept whatever their days: two of one day, or a clock that was set back. */
const NEWEST = 3;

/**
 * Which backups of a kennel can go: kept are the newest three, and the oldest of each of the last seven days, five
 * weeks and twelve months (of thirty days) that have one. Days, weeks and months are counted from one fixed day and
 * not back from today: else what is a week old today would be eight days old tomorrow, and none would ever grow older.
 */
export function outdated(backups: readonly Backup[]): Backup[] {
  const sorted = [...backups].sort((a, b) => b.at - a.at);
  const kept = new Set(sorted.slice(0, NEWEST));
  for (const [many, long] of KEPT) {
    const oldest = new Map<number, Backup>();
    for (const one of sorted) oldest.set(Math.floor(one.at / long), one);
    for (const one of [...oldest.values()].slice(0, many)) kept.add(one);
  }
  return sorted.filter((one) => !kept.has(one));
}
