import { mkdir, writeFile } from 'node:fs/promises';
import { expect, test } from './fixtures';
import { WALKS } from './walks';
import { Walker } from './walks/walker';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

/** Where each walk leaves its line; `npm run walk` sets it, and plays all of them. */
const LINES = process.env.WALK_LINES;

for (const [i, { practice, play, always }] of WALKS.entries())
  if (always || LINES)
    test(`a practice walked: ${practice}`, async ({ page }) => {
      const walker = await Walker.at(page);
      await play(walker);
      const { walked } = walker;
      expect(walked.goes).toBeGreaterThan(0);
      expect(walked.concluded.length).toBeGreaterThan(1);
      if (!LINES) return;
      await mkdir(LINES, { recursive: true });
      await writeFile(
        `${LINES}/${String(i + 1).padStart(2, '0')}.json`,
        JSON.stringify({ practice, ...walked }),
      );
    });
