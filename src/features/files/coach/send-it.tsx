import type { ReactNode } from 'react';
import { Button, Notice, TextField } from '@/ui';
import { ReadyToHand } from '../ready-to-hand';
import type { FileWork } from '../use-file-work';
import type { ReadyFile } from '../use-ready-file';
import { tell } from '../words';
import { Working } from '../working';
import { usePupils } from './pupils-store';

export type SaidOfIt = { readonly words: string; readonly wrong: boolean } | null;
type Props = {
  readonly work: FileWork;
  readonly ready: ReadyFile | null;
  readonly said: SaidOfIt;
  readonly make: string;
  readonly look: 'ink' | 'signal';
  readonly onMake: () => void;
  /** What else is said before it is made. */
  readonly children?: ReactNode;
};

/** Who signs, the button that makes the file, and what became of it. */
export function SendIt({ work, ready, said, make, look, onMake, children }: Props) {
  const { name, sign } = usePupils();
  return (
    <>
      <div className="mt-4 flex flex-wrap items-end gap-3">
        {children}
        <TextField
          label={tell('coach.your-name')}
          value={name}
          autoComplete="off"
          onChange={(event) => sign(event.target.value)}
        />
        <Button look={look} onClick={onMake}>
          {make}
        </Button>
      </div>
      <Working work={work} />
      {ready?.share && <ReadyToHand ready={ready} share={ready.share} />}
      {said && (
        <div className="mt-3">
          <Notice tone={said.wrong ? 'alert' : 'plain'} role={said.wrong ? 'alert' : 'status'}>
            {said.words}
          </Notice>
        </div>
      )}
    </>
  );
}
