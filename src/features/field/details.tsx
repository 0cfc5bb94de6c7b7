import type { Amendment, StandingRep } from '@/core/log';
import { CALM_THROUGHOUT, type DetailsView, rowsOf } from './detail-rows';
import { RepNumbers } from './rep-numbers';
import type { Row } from './row-said';
import { changeOf } from './said-again';

export type DetailsProps = {
  readonly view: DetailsView;
  readonly rep: StandingRep;
  readonly rewards: readonly string[];
  readonly busy: boolean;
  readonly onAmend: (change: Amendment) => void;
};

/**
 * Everything that can be said of a rep, each in one tap and none of it needed: on the pad of the last
 * one, in the log of any. A tap on what is on changes nothing.
 */
export function Details({ view, rep, rewards, busy, onAmend }: DetailsProps) {
  const rows = rowsOf(view, rep, rewards);
  return (
    <div className="grid gap-3 pb-3">
      <RepNumbers view={view} rep={rep} onSay={(tap) => onAmend(changeOf(view, rep, tap))} />
      {rows.map((one) => (
        <RowOf key={one.title} row={one} rep={rep} busy={busy} onAmend={onAmend} />
      ))}
    </div>
  );
}

/** One row of what can be said of a rep: a tap on what is on changes nothing. */
export function RowOf({
  row,
  rep,
  busy,
  onAmend,
}: Pick<DetailsProps, 'rep' | 'busy' | 'onAmend'> & { readonly row: Row }) {
  return (
    <fieldset>
      <legend className="text-base font-semibold">{row.title}</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {row.options.map((option) => {
          const on = row.isOn ? row.isOn(rep, option.value) : row.said(rep) === option.value;
          return (
            <button
              key={option.words}
              type="button"
              aria-pressed={on}
              aria-disabled={busy || undefined}
              onClick={() => (row.isOn || !on) && onAmend(option.amend(rep))}
              className={`min-h-14 min-w-14 border-2 border-ink px-2 text-base leading-tight ${on ? 'bg-ink font-bold text-paper' : 'bg-sheet'}`}
            >
              {option.words}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}

/** Kit that is worn is judged at three moments; where it was the same at all of them one tap says so. */
export const CalmThroughout = (props: Pick<DetailsProps, 'rep' | 'busy' | 'onAmend'>) => (
  <RowOf row={CALM_THROUGHOUT} {...props} />
);
