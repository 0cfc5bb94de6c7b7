import { type DogWork, type ElementRecord, judgingOf, namedFaults } from '@/data/read';
import { SelectField, Sheet } from '@/ui';
import { useElementChange } from './use-element-change';
import { tell } from './words';

/** What a measured rep and a second cue come to: two settings that schools see differently. */
export function JudgedBy({ element, work }: { readonly element: ElementRecord; readonly work: DogWork }) {
  const change = useElementChange(element);
  const charges = judgingOf({ ...element, cues: 'by-rules' }, namedFaults(element, work)).oneCue;
  return (
    <Sheet title={tell('judged-by.what-a-rep-says')}>
      <div className="grid gap-3">
        <SelectField
          label={tell('judged-by.where-something-asked-was-measured')}
          value={element.measured}
          options={[
            { value: 'decides', words: tell('judged-by.the-measure-decides-a-tap-says') },
            { value: 'noted', words: tell('judged-by.it-is-only-noted-beside-what-you') },
          ]}
          onChange={(measured) => change({ measured }, tell('judged-by.what-a-measure-does-is-changed'))}
        />
        <SelectField
          label={tell('judged-by.cues')}
          value={element.cues}
          options={[
            {
              value: 'by-rules',
              words: charges
                ? tell('judged-by.as-the-rule-book-one-further-ones')
                : tell('judged-by.as-the-rule-book-it-charges-none'),
            },
            { value: 'one', words: tell('judged-by.one-cue-only-a-second-needed-one') },
            { value: 'repeat', words: tell('judged-by.repeated-calmly-counted-never-held') },
          ]}
          onChange={(cues) => change({ cues }, tell('judged-by.how-cues-are-judged-is-changed'))}
        />
      </div>
    </Sheet>
  );
}
