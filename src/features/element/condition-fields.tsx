import { useState } from 'react';
import type { ElementRecord } from '@/data/read';
import { Button, ListField, TextField } from '@/ui';
import { useElementChange } from './use-element-change';
import { tell } from './words';

/** Conditions of an element: a name and two options or more, such as "Surface: grass, sand". */
export function ConditionFields({ element }: { readonly element: ElementRecord }) {
  const change = useElementChange(element);
  const [title, setTitle] = useState('');
  const put = (i: number, options: string[]): string | undefined => {
    if (options.length < 2) return tell('condition-fields.two-options-at-least-what-stood');
    change(
      { conditions: element.conditions.map((one, k) => (k === i ? { ...one, options } : one)) },
      tell('condition-fields.condition-changed'),
    );
    return undefined;
  };
  const toss = (i: number, on: boolean): void =>
    change(
      {
        conditions: element.conditions.map(({ tossed: _was, ...one }, k) => ({
          ...one,
          ...(k === i ? on && { tossed: true } : _was === true && { tossed: true }),
        })),
      },
      on ? tell('condition-fields.tossed-from-now-on') : tell('condition-fields.not-tossed-any-more'),
    );
  const add = (): void => {
    const clean = title.trim();
    if (clean === '' || element.conditions.some((one) => one.title.toLowerCase() === clean.toLowerCase()))
      return;
    change(
      {
        conditions: [
          ...element.conditions,
          { title: clean, options: [tell('condition-fields.usual'), tell('condition-fields.another')] },
        ],
      },
      tell('condition-fields.condition-added-write-its-options'),
    );
    setTitle('');
  };
  return (
    <div className="grid gap-3">
      {element.conditions.map((condition, i) => (
        <div key={condition.title} className="flex items-end gap-2">
          <div className="min-w-0 flex-1">
            <ListField
              label={condition.title}
              items={condition.options}
              onTake={(options) => put(i, options)}
            />
            {condition.options.length === 2 && (
              <label className="flex min-h-11 items-center gap-2 leading-snug">
                <input
                  type="checkbox"
                  className="size-5 shrink-0 accent-(--ink)"
                  checked={condition.tossed === true}
                  onChange={(event) => toss(i, event.target.checked)}
                />
                {tell('condition-fields.a-fair-trial-on-this-dog')}
              </label>
            )}
          </div>
          <Button
            look="quiet"
            aria-label={tell('condition-fields.take-away', { title: condition.title })}
            onClick={() =>
              change(
                { conditions: element.conditions.filter((_, k) => k !== i) },
                tell('condition-fields.taken-away', { title: condition.title }),
              )
            }
          >
            {tell('condition-fields.take-away-2')}
          </Button>
        </div>
      ))}
      <TextField
        label={tell('condition-fields.a-further-condition-enter-adds-it')}
        value={title}
        placeholder={tell('condition-fields.e-g-surface')}
        onChange={(event) => setTitle(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
    </div>
  );
}
