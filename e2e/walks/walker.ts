import { expect, type Locator, type Page } from '@playwright/test';
import { fakeWaits } from '../fixtures';

/** What a walk left: a line of the table. */
export type Walked = {
  /** Taps, choices and typed answers, from the first page on. */
  readonly actions: number;
  readonly goes: number;
  /** Taps on the pad, from Begin to Enough, without the goes entered afterwards. */
  readonly padTaps: number;
  /** Actions before the first go was judged, and the seconds of the page's own clock. */
  readonly before: number;
  readonly seconds: number;
  readonly concluded: readonly string[];
};

/**
 * One person with a phone: everything by taps and by typing, key by key, nothing past the application. Counts
 * what it took, and reads what the page concludes.
 */
export class Walker {
  readonly page: Page;
  readonly #skip: (milliseconds: number) => Promise<void>;
  #skipped = 0;
  #begun = Date.now();
  #actions = 0;
  #goes = 0;
  #padTaps = 0;
  #first: { before: number; seconds: number } | null = null;
  #last = '';
  #lastAt = 0;
  readonly #concluded: string[] = [];

  private constructor(page: Page, skip: (milliseconds: number) => Promise<void>) {
    this.page = page;
    this.#skip = skip;
  }

  static async at(page: Page): Promise<Walker> {
    const walker = new Walker(page, await fakeWaits(page));
    await page.goto('/own/start');
    return walker;
  }

  get walked(): Walked {
    const { before, seconds } = this.#first ?? { before: this.#actions, seconds: 0 };
    return {
      actions: this.#actions,
      goes: this.#goes,
      padTaps: this.#padTaps,
      before,
      seconds,
      concluded: this.#concluded,
    };
  }

  /** A button, link, card or box by what it says; the pattern need not be all of it. */
  control(name: string | RegExp, within: Page | Locator = this.page): Locator {
    const called = typeof name === 'string' ? { name, exact: true } : { name };
    // What is folded away has its own summary line.
    return within
      .getByRole('button', called)
      .or(within.getByRole('link', called))
      .or(within.getByRole('radio', called))
      .or(within.getByRole('checkbox', called))
      .or(within.locator('summary').filter({ hasText: name }))
      .first();
  }

  async tap(name: string | RegExp, within?: Locator): Promise<void> {
    this.#actions++;
    const onPad = (await this.page.locator('[data-pad]').count()) > 0;
    if (onPad) this.#padTaps++;
    // The same control takes no second press within half a second: a person is not faster either.
    const gap = 520 - (Date.now() - this.#lastAt);
    if (onPad && String(name) === this.#last && gap > 0) await this.page.waitForTimeout(gap);
    const control = this.control(name, within ?? this.page);
    await expect(control).toBeVisible();
    await expect(control).not.toHaveAttribute('aria-disabled', 'true');
    await control.click();
    [this.#last, this.#lastAt] = [String(name), Date.now()];
  }

  async type(label: string | RegExp, text: string, which = 0): Promise<void> {
    this.#actions++;
    const called = typeof label === 'string' ? { name: label, exact: true } : { name: label };
    await this.page.getByRole('textbox', called).nth(which).click();
    await this.page.keyboard.press('ControlOrMeta+a');
    await this.page.keyboard.type(text);
    await this.page.keyboard.press('Tab');
  }

  async choose(label: string, option: string): Promise<void> {
    this.#actions++;
    await this.page.getByLabel(label, { exact: true }).first().selectOption({ label: option });
  }

  /** Makes a dog by its name and takes a practice apart: all of its pieces, or its first. */
  async begin(dog: string, method: string, answers: Readonly<Record<string, string>> = {}): Promise<void> {
    await this.type('Name', dog);
    await this.choose('Or by another method', method);
    await this.tap(/^All \d+ pieces$/);
    for (const [label, text] of Object.entries(answers)) await this.answer(label, text);
    await this.tap('Break it down');
    await expect(this.page.getByText('Broken down.')).toBeVisible();
  }

  /** Every field of that name: two pieces may ask the same. */
  async answer(label: string, text: string): Promise<void> {
    const fields = this.page.getByRole('textbox', { name: label, exact: true });
    await expect(fields.first()).toBeVisible();
    for (let i = 0; i < (await fields.count()); i++) await this.type(label, text, i);
  }

  /** A second dog takes over what another one trains, from the first page. */
  async alsoBegin(dog: string, what: RegExp): Promise<void> {
    await this.tap('Today');
    await this.tap('Add another dog');
    await this.type('Name', dog);
    await this.tap(what);
    await expect(this.page.getByRole('heading', { name: `What will ${dog} train?` })).toBeVisible();
  }

  /** To the card of a piece, by the bar. */
  async card(piece: string): Promise<void> {
    await this.tap('Field');
    await this.tap(new RegExp(`^${piece}`));
    await expect(this.control('Begin')).toBeVisible();
  }

  /** Something that judges one go on the pad; done when the count has gone up. */
  async go(how: () => Promise<void>): Promise<void> {
    await this.tallied(1, how);
  }

  /** Several goes logged at once: a set from memory, a game tallied in the rest. */
  async tallied(goes: number, how: () => Promise<void>): Promise<void> {
    const before = await this.count();
    await how();
    await expect.poll(() => this.count()).toBe(before + goes);
    this.#counted(goes);
  }

  #counted(goes: number): void {
    this.#goes += goes;
    this.#first ??= {
      before: this.#actions,
      seconds: (Date.now() - this.#begun + this.#skipped) / 1000,
    };
  }

  /** Goes of one outcome each by its button. */
  async reps(...outcomes: readonly (string | RegExp)[]): Promise<void> {
    const pad = this.page.locator('[data-pad] fieldset');
    for (const outcome of outcomes) await this.go(() => this.tap(outcome, pad));
  }

  /** A go with a fault that is named in its second tap. */
  async flaw(fault: string | RegExp, of: 'Flawed' | 'Miss' = 'Flawed'): Promise<void> {
    await this.go(async () => {
      await this.tap(of);
      const list = this.page.locator('fieldset').filter({ hasText: /Which fault\?|What happened\?/ });
      await expect(list).toBeVisible();
      // Its key stands before its name.
      await this.tap(typeof fault === 'string' ? new RegExp(fault) : fault, list);
    });
  }

  /** A fault more of the same go, or what else is said of the last one. */
  async also(what: string | RegExp): Promise<void> {
    await this.tap(what, this.page.getByRole('region', { name: 'Last rep' }));
  }

  /** A sign of the body that was seen. */
  async saw(sign: string): Promise<void> {
    await this.tap('Body signs');
    await this.tap(sign, this.page.getByRole('dialog'));
    await expect(this.page.getByRole('dialog')).toHaveCount(0);
  }

  /** Begin on a card, and the pad is there. */
  async beginCard(): Promise<void> {
    await this.tap('Begin');
    await expect(this.page.locator('[data-pad]')).toBeVisible();
  }

  /** How many goes the pad says there are. */
  async count(): Promise<number> {
    const text = await this.page.locator('main').innerText();
    return Number(/^(\d+) reps?[,;]/m.exec(text)?.[1] ?? 0);
  }

  /** Lets the clock of the page go on. */
  async wait(seconds: number): Promise<void> {
    this.#skipped += seconds * 1000;
    await this.#skip(seconds * 1000);
  }

  /** Comes back another day: the page opens anew. */
  async later(days: number): Promise<void> {
    await this.page.addInitScript(
      `{ const Before = Date; const gap = ${days} * 86400000; globalThis.Date = class extends Before {
        constructor(...args) { super(...(args.length > 0 ? args : [Before.now() + gap])); }
        static now() { return Before.now() + gap; } }; }`,
    );
    await this.page.goto('/own/today');
    await expect(this.page.getByRole('heading', { level: 1 })).toBeVisible();
  }

  /** The page says this; it becomes a line of the table. */
  async concludes(what: RegExp, where: Locator = this.page.locator('main')): Promise<void> {
    // A number and its unit are never parted on the page; a script need not know where.
    const spaced = new RegExp(what.source.replaceAll(' ', '\\s+'), what.flags);
    await expect(where.first()).toContainText(spaced);
    const text = (await where.first().innerText()).replaceAll(/\s+/g, ' ');
    this.#concluded.push(what.exec(text)?.[0] ?? what.source);
  }

  /** The page says no such thing. */
  async saysNot(what: RegExp): Promise<void> {
    await expect(this.page.locator('main')).not.toContainText(what);
  }

  get advice(): Locator {
    return this.page.getByRole('status', { name: 'Advice' });
  }

  /** The pad's end: enough for now, and the card that teaches. */
  async enough(): Promise<void> {
    await this.tap('Enough for now');
  }
}
