import { inRegion, type Region, USUAL_REGION } from '@/core/shared';

const KEY = 'regulon-region';

let region: Region = read();

function read(): Region {
  try {
    const kept = JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '{}') as Partial<
      Record<keyof Region, string>
    >;
    return {
      fetched: kept.fetched === 'bumper' ? 'bumper' : USUAL_REGION.fetched,
      lying: kept.lying === 'lie' ? 'lie' : USUAL_REGION.lying,
    };
  } catch {
    return USUAL_REGION;
  }
}

export const regionNow = (): Region => region;

/** Takes the choice; the words of pages that are open change when they are loaded again. */
export function takeRegion(next: Region): void {
  region = next;
  globalThis.localStorage?.setItem(KEY, JSON.stringify(next));
}

/** A text in this person's words. */
export const inWordsHere = (text: string): string => inRegion(text, region);
