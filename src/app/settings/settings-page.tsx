import { Link } from 'react-router';
import { KeyList } from '@/features/field/key-list';
import { SignalSettings } from '@/features/field/signal-settings';
import { PageHead, Sheet } from '@/ui';
import { CustomsSheet } from './customs-sheet';
import { LookSheet } from './look-sheet';
import { StewardChoice } from './steward-choice';
import { UnitsSheet } from './units-sheet';
import { tell } from './words';

/** Everything that belongs to the device and the person at it, in one place; each choice holds at once. */
export function SettingsPage() {
  return (
    <>
      <PageHead title={tell('settings.title')}>{tell('settings.of-this-device')}</PageHead>
      <div className="grid grid-cols-1 items-start gap-6 lg:grid-cols-2">
        <div className="grid grid-cols-1 gap-6">
          <LookSheet />
          <CustomsSheet />
          <UnitsSheet />
          <Sheet title={tell('settings.elsewhere')}>
            <ul>
              {ELSEWHERE.map(([to, words]) => (
                <li key={to}>
                  <Link
                    className="flex min-h-11 items-center underline underline-offset-4"
                    to={`../${to}`}
                    relative="path"
                  >
                    {words}
                  </Link>
                </li>
              ))}
            </ul>
          </Sheet>
        </div>
        <div className="grid grid-cols-1 gap-6">
          <Sheet title={tell('settings.hands-and-signals')}>
            <SignalSettings />
            <StewardChoice />
          </Sheet>
          <Sheet title={tell('settings.keys')}>
            <p className="mb-2 leading-snug text-ink-soft">{tell('settings.keys-why')}</p>
            <KeyList />
          </Sheet>
        </div>
      </div>
    </>
  );
}

const ELSEWHERE: readonly (readonly [to: string, words: string])[] = [
  ['files', tell('settings.to-files')],
  ['kennel', tell('settings.to-kennel')],
  ['plan', tell('settings.to-plan')],
  ['words', tell('settings.to-words')],
];
