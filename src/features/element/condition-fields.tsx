import { useState } from 'react';
import type { ElementRecord } from '@/data/read';
import { Button, ListField, TextField } from '@/ui';
import { useElementChange } from './use-element-change';

/** Conditions of an element: a name and two options or more, such as "Surface: grass, sand". */
export function ConditionFields({ element }: { readonly element: ElementRecord }) {
  const change = useElementChange(element);
  const [title, setTitle] = useState('');
  const put = (i: number, options: string[]): string | undefined => {
    if (options.length < 2) return 'Two options at least; what stood there is kept.';
    change(
      { conditions: element.conditions.map((one, k) => (k === i ? { ...one, options } : one)) },
      'Condition changed.',
    );
    return undefined;
  };
  const add = (): void => {
    const clean = title.trim();
    if (clean === '' || element.conditions.some((one) => one.title.toLowerCase() === clean.toLowerCase()))
      return;
    change(
      { conditions: [...element.conditions, { title: clean, options: ['usual', 'another'] }] },
      'Condition added: write its options.',
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
          </div>
          <Button
            look="quiet"
            aria-label={`Take ${condition.title} away`}
            onClick={() =>
              change(
                { conditions: element.conditions.filter((_, k) => k !== i) },
                `${condition.title} taken away.`,
              )
            }
          >
            Take away
          </Button>
        </div>
      ))}
      <TextField
        label="A further condition (Enter adds it)"
        value={title}
        placeholder="e.g. Surface"
        onChange={(event) => setTitle(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
    </div>
  );
}
