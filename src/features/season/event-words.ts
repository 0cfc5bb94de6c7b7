import { asLive, type SeasonEvent } from '@/data/read';
import { tell } from './words';

/** An event as it is read: "Blind, 60 yd, into the wind, light cover: lost". */
export function eventInWords(event: SeasonEvent, unit: 'm' | 'yd'): string {
  const { what, distance, wind, cover, end } = asLive(event);
  const { tries } = event;
  const about = [
    distance === null
      ? ''
      : tell('event.distance', { distance: { quantity: 'distance', base: distance, unit } }),
    wind === null ? '' : tell('event.wind', { wind }),
    cover === null ? '' : tell('event.cover', { cover }),
    tries > 1 ? tell('event.tries', { tries }) : '',
  ].filter((one) => one !== '');
  return tell('event.in-words', {
    what: tell('event.what', { what }),
    about: about.length > 0 ? `, ${about.join(', ')}` : '',
    end: tell('event.end', { end }),
  });
}
