import { Button, Notice } from '@/ui';
import type { ReadyFile } from './use-ready-file';
import { tell } from './words';

type Props = { readonly ready: ReadyFile; readonly share: () => Promise<void> };

/** Where the device can hand a file on, the person says whether it does, or keeps it. */
export function ReadyToHand({ ready, share }: Props) {
  return (
    <Notice tone="plain" role="status">
      <p className="font-semibold">{tell('files-room.is-ready', { name: ready.name })}</p>
      <p className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => void share()}>{tell('files-room.hand-it-on')}</Button>
        <Button onClick={ready.save}>{tell('files-room.save-it-here')}</Button>
      </p>
    </Notice>
  );
}
