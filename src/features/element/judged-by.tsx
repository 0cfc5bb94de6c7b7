import { type DogWork, type ElementRecord, judgingOf, namedFaults } from '@/data/read';
import { SelectField, Sheet } from '@/ui';
import { useElementChange } from './use-element-change';

/** What a measured rep and a second cue come to: two settings that schools see differently. */
export function JudgedBy({ element, work }: { readonly element: ElementRecord; readonly work: DogWork }) {
  const change = useElementChange(element);
  const charges = judgingOf({ ...element, cues: 'by-rules' }, namedFaults(element, work)).oneCue;
  return (
    <Sheet title="What a rep says">
      <div className="grid gap-3">
        <SelectField
          label="Where something asked was measured"
          value={element.measured}
          options={[
            { value: 'decides', words: 'the measure decides; a tap says otherwise' },
            { value: 'noted', words: 'it is only noted beside what you tap' },
          ]}
          onChange={(measured) => change({ measured }, 'What a measure does is changed.')}
        />
        <SelectField
          label="Cues"
          value={element.cues}
          options={[
            {
              value: 'by-rules',
              words: charges
                ? 'as the rule book: one, further ones are charged'
                : 'as the rule book: it charges none here, so any number',
            },
            { value: 'one', words: 'one cue only: a second needed one is not clean' },
            { value: 'repeat', words: 'repeated calmly: counted, never held against it' },
          ]}
          onChange={(cues) => change({ cues }, 'How cues are judged is changed.')}
        />
      </div>
    </Sheet>
  );
}
