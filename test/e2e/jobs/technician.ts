import { extractText, getDocumentProxy } from 'unpdf'
import { expect, type Locator } from '@playwright/test'
import type { ModelSheet } from '../../../core/sheet'
import { sheetFileOf } from '../../fixtures/sheetFileOf'
import { Shower } from './shower'

export interface Intake {
  readonly owner: string
  readonly model: string
  /** of a model that has no sheet yet */
  readonly family?: string
  readonly serial: string
  readonly complaint: string
  readonly jobKind: string
  readonly ownerLanguage?: string
  readonly claims?: readonly { kind: string; number: string; quantity: string; meter?: string }[]
}

/**
 * Somebody at the bench who reads by eye: everything is done by pressing and typing on the pages, and
 * counted.
 */
export class Technician extends Shower {
  private job = ''

  /** A sheet that the workshop has as a file. */
  async importSheet(sheet: ModelSheet) {
    const { page } = this
    await page.goto(`${this.house.address}/sheets`)
    await page.getByLabel('sheet file').setInputFiles({
      name: `${sheet.id}.json`,
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(sheetFileOf(sheet))),
    })
    this.presses += 2
    await expect(page.getByText(`${sheet.model} imported, revision 1.`)).toBeVisible()
  }

  async bookIn(intake: Intake) {
    const { page } = this
    await page.goto(this.house.address)
    await this.press(page.getByRole('button', { name: /Book in a set/ }))
    await this.type(page.getByLabel('Owner', { exact: true }), intake.owner)
    if (intake.family === undefined) await this.choose('Model', intake.model)
    else {
      await this.press(page.getByRole('button', { name: /No sheet of this model yet/ }))
      await this.type(page.getByRole('dialog').getByLabel('Model, as on the set'), intake.model)
      await this.choose('Family', intake.family)
      await this.press(page.getByRole('dialog').getByRole('button', { name: 'Use this model' }))
    }
    await this.type(page.getByLabel('Serial number', { exact: true }), intake.serial)
    await this.type(page.getByLabel(/Complaint/), intake.complaint)
    await this.choose('Kind of job', intake.jobKind)
    if (intake.ownerLanguage) await this.choose('Language of the owner', intake.ownerLanguage)
    for (const [i, claim] of (intake.claims ?? []).entries()) await this.claim(i, claim)
    await this.press(page.getByRole('button', { name: /Start the job/ }))
    await page.waitForURL(/\/jobs\/[0-9a-f-]+\/inspection$/)
    this.job = page.url().replace(/\/inspection$/, '')
  }

  private async claim(
    index: number,
    { kind, number, quantity, meter }: NonNullable<Intake['claims']>[number],
  ) {
    const { page } = this
    await this.press(page.getByRole('button', { name: 'Add claim' }))
    await page.getByLabel('How the owner put it').nth(index).selectOption({ label: kind })
    await page.getByLabel('quantity', { exact: true }).nth(index).selectOption({ label: quantity })
    this.presses += 2
    await this.type(page.getByLabel('number', { exact: true }).nth(index), number)
    if (meter) await this.type(page.getByPlaceholder("owner's meter").nth(index), meter)
  }

  async goTo(phase: string) {
    const link = this.page.getByRole('navigation', { name: 'Job phases' }).getByRole('link', { name: phase })
    const before = await this.page.getByRole('heading', { level: 1 }).textContent()
    await this.press(link)
    await this.page.waitForURL(`**${await link.getAttribute('href')}`)
    await expect(this.page.getByRole('heading', { level: 1 })).not.toHaveText(before!)
  }

  /** On the current-limited supply, with parts out of circuit or none. */
  async tryOnSupply(seen: string, { idleA, out }: { idleA?: string; out?: string } = {}) {
    const power = this.page.getByRole('region', { name: 'First power' })
    const tries = power.getByRole('listitem').filter({ hasText: /20\d\d/ })
    const before = await tries.count()
    if (idleA !== undefined) await this.type(power.getByLabel('Idle current'), idleA)
    if (out !== undefined) await this.type(power.getByLabel('Parts out of circuit'), out)
    await this.press(power.getByRole('button', { name: seen, exact: true }))
    // A set that is right at once has no list of tries.
    if (before === 0 && seen === 'Normal' && !out) await expect(power).toContainText('Continue:')
    else await expect(tries).toHaveCount(before + 1)
  }

  /** What the inspection found at one place; a note where there is one. */
  async inspect(lookFor: string, state: 'OK' | 'Defect' | 'Put right' | 'Ask owner', note = '') {
    const item = this.page.getByRole('group', { name: lookFor })
    await this.press(item.getByRole('button', { name: state, exact: true }))
    if (note) await this.type(this.page.getByLabel(`note on ${lookFor}`), note)
  }
  async restIsFine() {
    await this.press(this.page.getByRole('button', { name: 'Mark the rest OK' }))
  }

  /** One entry of the list of the work, by the labels of its fields; choices by their title. */
  async addWork(
    kind: string,
    fields: Readonly<Record<string, string | boolean>>,
    choices: Readonly<Record<string, string | RegExp>> = {},
  ) {
    const add = this.page.getByRole('region', { name: 'Add an entry' })
    const entries = this.page.locator('.log > li')
    const before = await entries.count()
    const chosen = add.getByRole('button', { name: kind, exact: true })
    if ((await chosen.getAttribute('aria-pressed')) !== 'true') await this.press(chosen)
    for (const [label, option] of Object.entries(choices)) await this.choose(label, option)
    for (const [label, value] of Object.entries(fields)) {
      const field = add.getByLabel(label, { exact: true })
      if (value === true) await this.press(field)
      else await this.type(field, String(value))
    }
    await this.key('Enter')
    await expect(entries).toHaveCount(before + 1)
  }

  /** The order of the causes of one domain, the likeliest first. */
  causesOf(domain: string): Locator {
    return this.page.getByRole('region', { name: domain, exact: true }).getByRole('listitem')
  }
  /** A test by hand answered, and the cause that it proves confirmed. */
  async confirmCause(domain: string, cause: RegExp, evidence: string) {
    const region = this.page.getByRole('region', { name: domain, exact: true })
    await this.press(region.getByRole('button', { name: cause }).first())
    await this.press(region.getByRole('button', { name: 'Confirm cause…' }))
    await this.type(this.page.getByLabel('Evidence'), evidence)
    await this.press(this.page.getByRole('button', { name: /^Confirm cause Ctrl/ }))
    await expect(this.page.getByRole('dialog')).toBeHidden()
  }

  async settleComplaint(result: string, conditions: string) {
    await this.goTo('Findings')
    await this.settleComplaintHere(result, conditions)
  }
  async settleComplaintHere(result: string, conditions: string) {
    await this.type(this.page.getByLabel('Conditions of the trial'), conditions)
    await this.press(this.page.getByRole('button', { name: result, exact: true }))
  }

  /** Closes what is open, a line at a time, with one reason each. */
  async closeItems(reasons: readonly (readonly [line: RegExp, reason: string])[]) {
    const items = this.page.getByRole('region', { name: 'Open items' })
    for (const [line, reason] of reasons) {
      const row = items.getByRole('listitem').filter({ hasText: line }).first()
      await this.press(row.getByRole('button', { name: /^Close/ }))
      await this.type(this.page.getByRole('dialog').getByRole('textbox'), reason)
      await this.press(this.page.getByRole('dialog').getByRole('button', { name: 'Close item' }))
      await expect(this.page.getByRole('dialog')).toBeHidden()
    }
  }

  async handOver(words: string) {
    await this.press(this.page.getByRole('button', { name: /Hand over/ }))
    const dialog = this.page.getByRole('dialog')
    await this.type(dialog.getByRole('textbox'), words)
    await this.press(dialog.getByRole('button', { name: /Hand over/ }))
    await expect(dialog).toBeHidden()
  }

  /** Text of a paper of this job as it is printed. */
  async paper(name: string): Promise<string> {
    const id = this.job.split('/').at(-1)!
    const answer = await this.page.request.get(`${this.house.address}/api/jobs/${id}/${name}`)
    expect(answer.headers()['content-type']).toBe('application/pdf')
    const pdf = await getDocumentProxy(new Uint8Array(await answer.body()))
    const { text } = await extractText(pdf, { mergePages: true })
    return text.replace(/[\s\u2009\u00a0]+/g, ' ')
  }
}
