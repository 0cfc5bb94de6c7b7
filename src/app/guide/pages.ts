/** The guide, from docs/guide: one file a page, its first line the title. */
const FILES = import.meta.glob('/docs/guide/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
}) as Readonly<Record<string, string>>;

export type GuidePage = { readonly id: string; readonly title: string; readonly text: string };

/** In the order in which somebody meets them. */
const ORDER = [
  'first-ten-minutes',
  'on-the-phone',
  'staying-safe',
  'today',
  'rule-books',
  'breakdown',
  'field',
  'review',
  'live-days',
  'readiness',
  'plan',
  'set-outs',
  'clips-and-tracks',
  'trials',
  'kennel',
  'files',
  'settings',
] as const;
export type GuideId = (typeof ORDER)[number];

export const GUIDE: readonly GuidePage[] = ORDER.map((id) => {
  const whole = FILES[`/docs/guide/${id}.md`] ?? '';
  const [title = '', ...text] = whole.split('\n');
  return { id, title: title.replace(/^# /, ''), text: text.join('\n').trim() };
});

/** Which page helps with an address: those that have another name, and all by their own. */
const HELPS: readonly (readonly [begins: string, page: GuideId])[] = [
  ['season', 'live-days'],
  ['clips', 'clips-and-tracks'],
  ['tracks', 'clips-and-tracks'],
  ['start', 'first-ten-minutes'],
  ['guide', 'first-ten-minutes'],
  ['words', 'settings'],
  ...ORDER.map((id) => [id, id] as const),
];

/** The page of the guide for an address such as "/own/field/x". */
export function pageFor(pathname: string): GuidePage {
  const within = pathname.split('/').slice(2).join('/');
  const id = HELPS.find(([begins]) => within.startsWith(begins))?.[1] ?? 'first-ten-minutes';
  return pageById(id);
}

export function pageById(id: string): GuidePage {
  const [first] = GUIDE;
  const found = GUIDE.find((one) => one.id === id) ?? first;
  if (!found) throw new Error('the guide has no page');
  return found;
}
