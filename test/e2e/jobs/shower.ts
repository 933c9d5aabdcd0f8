import { expect } from '@playwright/test'
import { Reader } from './reader'

/** What is shown on purpose: trials, and what was changed for them. */
export class Shower extends Reader {
  private get addTrial() {
    return this.page.getByRole('region', { name: 'Add a trial' })
  }

  async alterSet(what: string) {
    const region = this.page.getByRole('region', { name: 'Changed for the demonstration' })
    await this.type(region.getByLabel('Taken out or changed'), what)
    await this.key('Enter')
    await expect(region.getByRole('listitem').filter({ hasText: what })).toContainText('not back yet')
  }
  async putBack(what: string, proof: string) {
    await this.press(this.page.getByRole('button', { name: `Put back\u2026 ${what}` }))
    const dialog = this.page.getByRole('dialog')
    await this.type(dialog.getByRole('textbox'), proof)
    await this.press(dialog.getByRole('button', { name: /^Put back/ }))
    await expect(dialog).toBeHidden()
  }

  private async modulateWith(signal: string) {
    const button = this.addTrial.getByRole('button', { name: signal })
    if ((await button.getAttribute('aria-pressed')) !== 'true') await this.press(button)
  }

  /** One state of the set, read by eye; meters and amplifier are remembered from the trial before. */
  async showTrial(
    signal: string,
    readings: Readonly<Record<string, string>>,
    set: { text?: string; amplifier?: string; devices?: string; claimedW?: string } = {},
    meters: Readonly<Record<string, string>> = {},
  ) {
    const trials = this.page.locator('.trials > li')
    const before = await trials.count()
    await this.modulateWith(signal)
    if (set.amplifier) await this.press(this.addTrial.getByLabel('Amplifier between set and load'))
    if (set.text) await this.type(this.addTrial.getByLabel('What was set'), set.text)
    if (set.amplifier) await this.type(this.addTrial.getByLabel('Amplifier', { exact: true }), set.amplifier)
    if (set.devices) await this.type(this.addTrial.getByLabel('Output devices'), set.devices)
    if (set.claimedW) await this.type(this.addTrial.getByLabel('Claimed PEP of each'), set.claimedW)
    for (const [quantity, meter] of Object.entries(meters)) {
      await this.addTrial.getByLabel(`instrument for ${quantity}`).selectOption({ label: meter })
      this.presses += 1
    }
    for (const [quantity, value] of Object.entries(readings))
      await this.type(this.addTrial.getByLabel(quantity, { exact: true }), value)
    await this.press(this.addTrial.getByRole('button', { name: /^Save/ }))
    await expect(trials).toHaveCount(before + 1)
  }

  /** The scale that a meter is read on from now on. */
  async useTrialScale(quantity: string, scale: string, signal?: string) {
    if (signal) await this.modulateWith(signal)
    await this.addTrial.getByLabel(`scale for ${quantity}`).selectOption({ label: scale })
    this.presses += 1
  }
}
