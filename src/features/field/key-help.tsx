import { Dialog } from '@/ui';
import { KeyList } from './key-list';
import { tell } from './later-words';
import { SignalSettings } from './signal-settings';

/** The keys and signals of the pad, over it. */
export function KeyHelp({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title={tell('key-help.keys-and-signals')}>
      <SignalSettings />
      <div className="mt-3 border-t border-rule pt-3">
        <KeyList />
      </div>
    </Dialog>
  );
}
