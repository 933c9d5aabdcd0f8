import type { Locator, Page } from '@playwright/test'
import type { TestHouse } from '../../integration/house'
import { choose } from '../choose'

/** Hands that press and type on the pages, and are counted. */
export class Hands {
  protected presses = 0
  protected fields = 0
  private readonly sinceMs = Date.now()

  constructor(
    protected readonly page: Page,
    protected readonly house: TestHouse,
  ) {}

  /** What the job cost, in the output of the tests. */
  tellCost(job: string) {
    const seconds = Math.round((Date.now() - this.sinceMs) / 1000)
    process.stdout.write(`${job}: ${this.presses} presses, ${this.fields} fields, ${seconds} s\n`)
  }

  async press(button: Locator) {
    await button.click()
    this.presses += 1
  }
  async key(name: string) {
    await this.page.keyboard.press(name)
    this.presses += 1
  }
  async type(field: Locator, text: string) {
    await field.fill(text)
    this.fields += 1
  }
  async choose(label: string, option: string | RegExp) {
    await choose(this.page, label, option)
    this.presses += 2
  }
}
