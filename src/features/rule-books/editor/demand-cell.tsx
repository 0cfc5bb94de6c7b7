import { ReadCell } from './cell';
import { at, type Draft, type Json, put, typed } from './draft';
import { useEditor } from './editor-store';
import { written } from './made';
import { demandsInWords } from './price-words';
import { demandsOf, shownDemands } from './typed-values';
import { tell } from './words';

/** What a cell of a part is, above it. */
export const Head = ({ children }: { readonly children: string }) => (
  <span aria-hidden="true" className="block px-2 text-ink-soft text-sm">
    {children}
  </span>
);

/** The draft with a part's demands one by one, where they were typed in a line. */
export function withDemands(draft: Draft, path: readonly (string | number)[]): Draft {
  const node = at(draft, path) ?? null;
  const { demands, wrong } = demandsOf(node, draft);
  return wrong ? draft : put(draft, [...path, 'demands'], demands);
}

type DemandProps = {
  readonly draft: Draft;
  readonly path: readonly (string | number)[];
  readonly node: Json;
  readonly label: string;
};

/** What the class asks of a part, as one would say it: "20 m; hold 10 s". May stay empty. */
export function DemandCell({ draft, path, node, label }: DemandProps) {
  const change = useEditor((state) => state.change);
  const take = (text: string): void =>
    change(
      (now) => {
        const stood = at(now, [...path, 'demands']) ?? [];
        const was = typeof stood === 'object' && stood !== null && 'was' in stood ? (stood.was ?? []) : stood;
        return put(now, [...path, 'demands'], typed(text, was));
      },
      written([...path, 'demands']),
    );
  return (
    <div data-col="demands" className="min-w-0">
      <Head>{tell('book-row.head-asked')}</Head>
      <ReadCell
        path={[...path, 'demands']}
        label={label}
        value={shownDemands(node)}
        placeholder={tell('book-row.asked-examples')}
        understood={demandsInWords(draft, node)}
        className="w-full"
        onText={take}
      />
    </div>
  );
}
