import { extractText, getDocumentProxy } from 'unpdf'
import { expect, type Locator, type Page } from '@playwright/test'
import type { TestHouse } from '../../integration/house'

export interface Intake {
  readonly owner: string
  readonly model: string
  /** of a model that has no sheet yet */
  readonly family?: string
  readonly serial: string
  readonly complaint: string
  readonly jobKind: string
  readonly ownerLanguage?: string
  readonly claims?: readonly { kind: string; number: string; quantity: string }[]
}

/**
 * Somebody at the bench who reads by eye: everything is done by pressing and typing on the pages, and
 * counted.
 */
export class Technician {
  private presses = 0
  private fields = 0
  private readonly sinceMs = Date.now()
  private job = ''

  constructor(
    private readonly page: Page,
    private readonly house: TestHouse,
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
    await this.page.getByLabel(label, { exact: true }).press('ArrowDown')
    await this.page.getByRole('option', { name: option }).click()
    this.presses += 2
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

  private async claim(index: number, { kind, number, quantity }: NonNullable<Intake['claims']>[number]) {
    const { page } = this
    await this.press(page.getByRole('button', { name: 'Add claim' }))
    await page.getByLabel('How the owner put it').nth(index).selectOption({ label: kind })
    await page.getByLabel('quantity', { exact: true }).nth(index).selectOption({ label: quantity })
    this.presses += 2
    await this.type(page.getByLabel('number', { exact: true }).nth(index), number)
  }

  async goTo(phase: string) {
    await this.press(
      this.page.getByRole('navigation', { name: 'Job phases' }).getByRole('link', { name: phase }),
    )
    await expect(this.page.getByRole('heading', { level: 1 })).toContainText(phase)
  }

  /** On the current-limited supply, with parts out of circuit or none. */
  async tryOnSupply(seen: string, { idleA, out }: { idleA?: string; out?: string } = {}) {
    const power = this.page.getByRole('region', { name: 'First power' })
    const tries = power.getByRole('listitem').filter({ hasText: /20\d\d/ })
    const before = await tries.count()
    if (idleA !== undefined) await this.type(power.getByLabel('Idle current'), idleA)
    if (out !== undefined) await this.type(power.getByLabel('Parts out of circuit'), out)
    await this.press(power.getByRole('button', { name: seen, exact: true }))
    await expect(tries).toHaveCount(before + 1)
  }

  /** Rows by their title and the names of the quantities, as they are read off. */
  async typeRows(
    rows: Readonly<Record<string, Readonly<Record<string, string>>>>,
    meters: Readonly<Record<string, string>> = {},
  ) {
    const { page } = this
    await this.key('g')
    const table = page.getByRole('region', { name: 'Type as a table' })
    for (const [quantity, meter] of Object.entries(meters)) {
      await table.getByLabel(`instrument for ${quantity}`).first().selectOption({ label: meter })
      this.presses += 1
    }
    for (const [title, values] of Object.entries(rows))
      for (const [quantity, text] of Object.entries(values)) {
        await this.type(table.getByLabel(`${title}, ${quantity}`), text)
        await this.key('Enter')
      }
    await this.key('Control+Enter')
    await expect(table.getByRole('status')).toContainText(/saved/i)
    await this.key('Escape')
    await expect(table).toBeHidden()
  }

  /** One line of the settings card. */
  async writeSettings(line: {
    band?: string
    connectedTo?: string
    positions: Readonly<Record<string, string>>
    /** by the label of the field */
    match?: Readonly<Record<string, string>>
    meterAt?: string
    note?: string
  }) {
    const { page } = this
    const dialog = page.getByRole('dialog')
    if ((await page.getByRole('button', { name: 'Add settings' }).count()) === 0)
      await this.press(page.getByRole('button', { name: /^Settings card/ }))
    await this.press(page.getByRole('button', { name: 'Add settings' }))
    if (line.band) await this.choose('Band', line.band)
    if (line.connectedTo) await this.choose('Connected to', line.connectedTo)
    for (const [control, position] of Object.entries(line.positions))
      await this.writePosition(dialog, control, position)
    for (const [field, text] of Object.entries(line.match ?? {}))
      await this.type(dialog.getByLabel(field, { exact: true }), text)
    if (line.meterAt) await this.choose('Where the meter stands', line.meterAt)
    if (line.note) await this.type(dialog.getByLabel('Note'), line.note)
    await this.press(dialog.getByRole('button', { name: 'Save' }))
    await expect(dialog).toBeHidden()
  }

  private async writePosition(dialog: Locator, control: string, position: string) {
    const known = dialog.getByLabel(control, { exact: true })
    if ((await known.count()) > 0) return this.type(known, position)
    await this.press(dialog.getByRole('button', { name: 'Add control' }))
    await this.type(dialog.getByLabel('Control', { exact: true }).last(), control)
    await this.type(dialog.getByLabel('Position', { exact: true }).last(), position)
  }

  async settleComplaint(result: string, conditions: string) {
    await this.goTo('Findings')
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
