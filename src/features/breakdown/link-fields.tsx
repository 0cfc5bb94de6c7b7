import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { axisInWords, type Setting } from '@/core/breakdown';
import type { ElementRecord } from '@/data/read';
import { Button, SelectField, TextField } from '@/ui';
import { furtherAxis } from './axis-draft';
import { AxisFields } from './axis-fields';
import { type LinkDraft, outlookOf, type Problems } from './exercise-draft';
import { Joined } from './joined';
import { tell } from './words';

type Props = {
  readonly link: LinkDraft;
  readonly place: number;
  readonly last: boolean;
  readonly problems: Problems;
  readonly elements: readonly ElementRecord[];
  /** What was chosen where schools differ. */
  readonly settings?: readonly Setting[];
  readonly onChange: (link: LinkDraft) => void;
  /** Null where the order is the rule book's. */
  readonly onMove: ((by: -1 | 1) => void) | null;
  /** Null where the rule book asks for this link. */
  readonly onRemove: (() => void) | null;
};

/**
 * One link of an exercise in the making: what trains it, and the three values of each of its
 * criteria.
 */
export function LinkFields({
  link,
  place,
  last,
  problems,
  elements,
  settings = [],
  onChange,
  onMove,
  onRemove,
}: Props) {
  const name = link.title || tell('link-fields.link', { place: place + 1 });
  const had = elements.find((one) => one.id === link.existing);
  return (
    <fieldset className="border-2 border-ink bg-sheet px-4 py-3">
      <legend className="float-left text-lg font-bold">
        <span className="text-ink-soft">{place + 1}. </span>
        {link.title || tell('link-fields.a-new-element')}
      </legend>
      <div className="float-right flex gap-1">
        {onMove && (
          <>
            <IconButton
              label={tell('link-fields.move-up', { name })}
              disabled={place === 0}
              onClick={() => onMove(-1)}
              Icon={ArrowUp}
            />
            <IconButton
              label={tell('link-fields.move-down', { name })}
              disabled={last}
              onClick={() => onMove(1)}
              Icon={ArrowDown}
            />
          </>
        )}
        {onRemove && (
          <IconButton label={tell('link-fields.take-out', { name })} onClick={onRemove} Icon={X} />
        )}
      </div>
      <div className="clear-both grid gap-4 pt-2 lg:grid-cols-[18rem_1fr]">
        <div className="grid content-start gap-3">
          {link.existing === null && (
            <TextField
              label={tell('link-fields.name')}
              value={link.title}
              problem={problems[`${link.id}.title`]}
              onChange={(event) => onChange({ ...link, title: event.target.value })}
            />
          )}
          {elements.length > 0 && (
            <SelectField
              label={tell('link-fields.trained-by')}
              value={(link.existing ?? '') as string}
              options={[
                { value: '', words: tell('link-fields.a-new-element-2') },
                ...elements.map((one) => ({
                  value: one.id as string,
                  words: tell('link-fields.shared', { title: one.title }),
                })),
              ]}
              onChange={(id) => {
                const chosen = elements.find((element) => element.id === id);
                onChange({ ...link, existing: chosen?.id ?? null, title: chosen?.title ?? link.title });
              }}
            />
          )}
          {link.from && <p className="text-sm leading-snug text-ink-soft">{link.from.element.teaches}</p>}
        </div>
        {link.existing === null ? (
          <div className="grid min-w-0 content-start gap-4">
            {link.axes.map((axis, i) => (
              <AxisFields
                key={axis.spec.axis.key}
                axis={axis}
                prefix={`${link.id}.${axis.spec.axis.key}`}
                problems={problems}
                byHand={axis.added === true || (link.from === null && link.part === null)}
                others={link.axes}
                onChange={(next) =>
                  onChange({ ...link, axes: link.axes.map((one, k) => (k === i ? next : one)) })
                }
                onRemove={
                  link.axes.length > 1 && axis.added
                    ? () => onChange({ ...link, axes: link.axes.filter((_, k) => k !== i) })
                    : null
                }
              />
            ))}
            <p>
              <Button
                onClick={() =>
                  onChange({ ...link, axes: [...link.axes, furtherAxis('distance', link.axes)] })
                }
              >
                {tell('link-fields.a-further-criterion')}
              </Button>
            </p>
            <Outlook link={link} settings={settings} />
          </div>
        ) : (
          <p className="self-center leading-snug">
            {tell('link-fields.one-element-serves-both-exercises')}
            {had && link.asked && <Joined demands={link.asked} element={had} />}
          </p>
        )}
      </div>
    </fieldset>
  );
}

type IconProps = {
  readonly label: string;
  readonly disabled?: boolean;
  readonly onClick: () => void;
  readonly Icon: typeof X;
};

function IconButton({ label, disabled, onClick, Icon }: IconProps) {
  return (
    <Button look="quiet" className="!px-2.5" aria-label={label} disabled={disabled} onClick={onClick}>
      <Icon aria-hidden="true" className="size-5" />
    </Button>
  );
}

/** How long the way will be, and what is held on it. */
function Outlook({ link, settings }: { readonly link: LinkDraft; readonly settings: readonly Setting[] }) {
  const outlook = outlookOf(link, settings);
  if (!outlook) return null;
  return (
    <div className="leading-snug">
      <p>{tell('link-fields.steps-and-reps', { steps: outlook.steps, reps: outlook.reps ?? 0 })}</p>
      {outlook.held.map((axis) => (
        <p key={axis.key}>{tell('link-fields.held-not-climbed', { asked: axisInWords(axis, axis.start) })}</p>
      ))}
    </div>
  );
}
