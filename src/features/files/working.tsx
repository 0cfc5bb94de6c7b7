import { Button } from '@/ui';
import { wordsOf } from '@/words';
import type { FileWork } from './use-file-work';
import { tell } from './words';

/** What is being done with a whole kennel, how far it is, and a way to stop it. */
export function Working({ work: { said, stop } }: { readonly work: FileWork }) {
  if (!said) return null;
  return (
    <p role="status" className="mt-4 flex flex-wrap items-center gap-3 leading-snug">
      {wordsOf(said.doing)} …{said.share === null ? '' : ` ${Math.round(said.share * 100)} %`}
      <Button onClick={stop}>{tell('files-room.stop')}</Button>
    </p>
  );
}
