import { useState } from 'react';
import { BODY_SIGNS, type BodySign } from '@/core/coaching';
import { Button, SIGN_WORDS } from '@/ui';
import { tell } from './words';

type Props = { readonly onSign: (sign: BodySign) => void; readonly onStop: () => void };

/** Signs of the dog’s body and the stop: on every screen of a run that is called. */
export function SignsAndStop({ onSign, onStop }: Props) {
  // The list closes with a sign, and what follows from it stands above.
  const [said, setSaid] = useState(0);
  return (
    <section aria-label={tell('calling.signs')} className="flex flex-wrap items-start gap-2">
      <Button size="big" onClick={onStop}>
        {tell('calling.stop-the-run')}
      </Button>
      <details key={said} className="flex-1">
        <summary className="flex min-h-14 cursor-pointer items-center text-lg underline underline-offset-4">
          {tell('calling.a-sign')}
        </summary>
        <ul className="flex flex-wrap gap-2 pb-2">
          {BODY_SIGNS.map((one) => (
            <li key={one}>
              <Button
                onClick={() => {
                  setSaid(said + 1);
                  onSign(one);
                }}
              >
                {SIGN_WORDS[one]}
              </Button>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}
