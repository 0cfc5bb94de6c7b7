import { expect, type Locator, type Page } from '@playwright/test';
import { padKey } from '../fixtures';
import { type KnownDog, PIECES } from './known-dog';

/** A line of the season's table. */
export type Row = {
  readonly day: string;
  readonly what: string;
  readonly actions: number;
  readonly seconds: number;
  readonly concluded: string;
  /** Null where there is nothing to hold it against. */
  readonly isTrue: boolean | null;
};

/** The clock of every page stands on 15 June 2026, 16:30; the season begins on Monday 2 February. */
const FIRST = Date.UTC(2026, 1, 2, 14, 30);
const NOW = Date.UTC(2026, 5, 15, 14, 30);
const DAY = 86_400_000;
/** What a go takes, with its reward and the way back. */
const SECONDS = 25;

/**
 * One person through a season: taps and typing only, with the days of the page’s clock moved on between. Counts
 * what each stretch took, and writes down what the pages concluded.
 */
export class Year {
  readonly page: Page;
  readonly rows: Row[] = [];
  #day = 0;
  #actions = 0;
  #answered = 0;
  #begun = Date.now();

  private constructor(page: Page) {
    this.page = page;
  }

  static async begin(page: Page): Promise<Year> {
    await page.addInitScript(`{
      const Before = Date;
      const gap = () => Number(localStorage.getItem('year-gap') ?? ${FIRST - NOW});
      globalThis.Date = class extends Before {
        constructor(...args) { super(...(args.length > 0 ? args : [Before.now() + gap()])); }
        static now() { return Before.now() + gap(); }
      };
    }`);
    return new Year(page);
  }

  /** Days since the season began. */
  get day(): number {
    return this.#day;
  }

  /** A day of the season as fields of dates take it: "2026-02-02". */
  dateOf(day = this.#day): string {
    return new Date(FIRST + day * DAY).toISOString().slice(0, 10);
  }

  /** The program is opened on another day. */
  async on(day: number, path = '/own/today'): Promise<void> {
    this.#day = day;
    await this.page.evaluate((gap) => localStorage.setItem('year-gap', String(gap)), FIRST - NOW + day * DAY);
    await this.page.goto(path);
    await expect(this.page.getByRole('heading', { level: 1 })).toBeVisible();
  }

  /** A go takes its time, also where a script taps faster: a plan reckons with what bouts took. */
  async #pass(seconds: number): Promise<void> {
    await this.page.evaluate((more) => {
      localStorage.setItem('year-gap', String(Number(localStorage.getItem('year-gap')) + more));
    }, seconds * 1000);
  }

  async tap(what: Locator): Promise<void> {
    this.#actions++;
    await what.click();
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', typeof name === 'string' ? { name, exact: true } : { name }).first();
  }

  link(name: string | RegExp): Locator {
    return this.page.getByRole('link', typeof name === 'string' ? { name, exact: true } : { name }).first();
  }

  /** Over what stands in the field, key by key. */
  async type(field: Locator, text: string): Promise<void> {
    this.#actions++;
    await field.click();
    await this.page.keyboard.press('Control+a');
    await this.page.keyboard.type(text);
  }

  async choose(field: Locator, label: string | RegExp): Promise<void> {
    this.#actions++;
    const option = field.locator('option').filter({ hasText: label }).first();
    await field.selectOption((await option.getAttribute('value')) ?? '');
  }

  /** Ends a stretch: what it took since the last one, what was concluded, and whether that was true. */
  wrote(what: string, concluded: string, isTrue: boolean | null = null): void {
    this.rows.push({
      day: this.dateOf(),
      what,
      actions: this.#actions,
      seconds: Math.round((Date.now() - this.#begun) / 1000),
      concluded: concluded.replaceAll(/\s+/g, ' ').trim(),
      isTrue,
    });
    this.#actions = 0;
    this.#begun = Date.now();
  }

  /** How many goes the dog answered on this device. */
  get answered(): number {
    return this.#answered;
  }

  /** How many goes are in the log of all dogs, taken back or not. */
  reps(): Promise<number> {
    return this.page.evaluate(
      () =>
        new Promise<number>((resolve, reject) => {
          const open = indexedDB.open('regulon-own');
          open.onerror = () => reject(open.error);
          open.onsuccess = () => {
            const all = open.result.transaction('entries').objectStore('entries').getAll();
            all.onsuccess = () => {
              open.result.close();
              resolve(all.result.filter((one: { kind: string }) => one.kind === 'rep').length);
            };
          };
        }),
    );
  }

  async #key(key: string): Promise<void> {
    this.#actions++;
    await padKey(this.page, key);
  }

  /** The fault of a go, where the pad asks for it: by its name. */
  async #name(fault: string | undefined): Promise<void> {
    const asked = this.page.getByRole('group', { name: /^(Which fault\?|What happened\?)/ });
    if (!(await asked.count())) return;
    const own = asked.getByRole('button', { name: new RegExp(`^\\d+ ?${fault ?? ''}`) }).first();
    await this.#key(/\d+/.exec((await own.textContent()) ?? '')?.[0] ?? '1');
  }

  get advice(): Locator {
    return this.page.getByRole('status', { name: 'Advice' });
  }

  /** What the pad works on, and how far up its ladder the dog stands, from 0 to 1. */
  async #asked(): Promise<{ readonly piece: string; readonly x: number }> {
    const pad = this.page.locator('[data-pad]');
    const piece = (await pad.getByRole('heading', { level: 1 }).textContent()) ?? '';
    const text = await pad.innerText();
    const [, step, steps] = /(\d+) of (\d+)/.exec(text) ?? [];
    if (!step || !steps) throw new Error(`no step on the pad of ${piece}`);
    return { piece, x: Number(steps) < 2 ? 1 : (Number(step) - 1) / (Number(steps) - 1) };
  }

  /** One set of goes on the open pad, answered by the dog; the handler does what is advised. */
  async set(dog: KnownDog, most: number, away = false): Promise<string> {
    const pad = this.page.locator('[data-pad]');
    await expect(this.button('Clean')).toBeVisible();
    const { piece } = await this.#asked();
    for (let i = 1; i <= most; i++) {
      const { x } = await this.#asked();
      const answer = dog.goes(piece, this.#day, x, away);
      this.#answered++;
      await this.#key(answer === 'clean' ? 'c' : answer === 'miss' ? 'm' : 'f');
      if (answer !== 'clean')
        await this.#name(PIECES[piece]?.[answer === 'miss' ? 'missed' : 'flawed'].fault);
      await expect(pad.getByText(new RegExp(`^${i} reps?[,;]`)).first()).toBeAttached();
      await this.#pass(SECONDS);
      const advice = await this.advice.innerText();
      if (/^(Done|End here)/m.test(advice)) break;
      if (/Go to step/.test(advice)) {
        await this.#key('g');
        await expect(this.advice).not.toContainText('Go to step');
      }
    }
    return piece;
  }

  /** A lesson as Today proposes it: each piece until it is enough, so many pieces. */
  async lesson(dog: KnownDog, pieces: number, reps: number, away = false): Promise<string[]> {
    const worked: string[] = [];
    if (away) await this.tap(this.button('strange place'));
    for (let i = 0; i < pieces; i++) {
      await expect(this.page.getByText('Weighing the reps …')).toHaveCount(0);
      const begin = this.page
        .getByRole('button', { name: /^(Begin this session|Run it|Begin it|To its card)/ })
        .or(this.page.getByRole('link', { name: /^(Go on with it|Begin this session|To its card)/ }))
        .first();
      await this.tap(begin);
      await expect(this.button('Clean').or(this.button('Begin')).first()).toBeVisible();
      if (await this.button('Begin').isVisible()) {
        for (const one of await this.page.getByRole('checkbox', { name: /^Before you begin/ }).all())
          await this.tap(one);
        await this.tap(this.button('Begin'));
      }
      worked.push(await this.set(dog, reps, away));
      await this.tap(this.button('Enough for now'));
      await expect(this.page.getByRole('heading', { name: 'What the lesson comes to' })).toBeAttached();
      await this.tap(this.link('On to the next'));
      await expect(this.page.getByRole('heading', { level: 1 })).toBeVisible();
      if (/\/today$/.test(this.page.url())) continue;
      await this.page.goto('/own/today');
    }
    return worked;
  }
}
