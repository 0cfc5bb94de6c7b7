import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import { FileButton, Notice, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { MEDIA } from './clips-room';
import type { Marked } from './use-marked';
import { useOpenClip } from './use-open-clip';
import { tell } from './words';

/** The file is not open any more: its marks are, and the file is asked for again. */
export function Again({ marked }: { readonly marked: Marked }) {
  const { clip } = marked;
  const { kennel } = useKennelWithDog();
  const navigate = useNavigate();
  const { busy, failure, open } = useOpenClip();
  const [other, setOther] = useState(false);
  const choose = async (file: File): Promise<void> => {
    setOther(false);
    const opened = await open(file, clip.dogId);
    if (opened && opened.id !== clip.id) {
      setOther(true);
      void navigate(`/${kennel.name}/clips/${opened.id}`);
    }
  };
  return (
    <Sheet title={tell('again.title')}>
      <p className="mb-2 leading-snug">{tell('again.why', { name: clip.name })}</p>
      <FileButton
        look="signal"
        label={tell('again.open')}
        inputLabel={tell('clip-room.file')}
        accept={MEDIA}
        onFile={choose}
      />
      <div role="status">{busy && <Notice>{tell('clip-room.reading')}</Notice>}</div>
      {other && <Notice tone="alert">{tell('again.another')}</Notice>}
      {failure && <Notice tone="alert">{wordsOf(failure.message)}</Notice>}
    </Sheet>
  );
}
