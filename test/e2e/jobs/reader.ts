import { expect, type Locator } from '@playwright/test'
import { Hands } from './hands'

/** Readings by eye, step by step or row by row, and where the controls stood. */
export class Reader extends Hands {
  /** The meter that readings of a step are read on; it is remembered for the next. */
  async useMeter(step: string, quantity: string, meter: string) {
    await this.press(this.page.locator(`[data-step="${step}"]`))
    await this.key('t')
    await this.page.getByLabel(`instrument for ${quantity}`).selectOption({ label: meter })
    this.presses += 1
    await this.key('Escape')
  }
  /** Readings of one point of a step, read by eye, in the order of its fields. */
  async readStep(step: string, ...values: readonly string[]) {
    const { page } = this
    const chosen = page.locator(`[data-step="${step}"]`)
    await this.press(chosen)
    await expect(chosen).toHaveAttribute('aria-current', 'step')
    await this.key('t')
    for (const value of values) {
      await page.keyboard.type(value)
      this.fields += 1
      await this.key('Enter')
    }
    await expect(page.locator('.said[role=status]')).toContainText('saved')
  }
  /** One reading at each point of a step, one point after the other. */
  async readPoints(step: string, ...values: readonly string[]) {
    await this.press(this.page.locator(`[data-step="${step}"]`))
    const row = this.page.locator('.typed')
    for (const value of values) {
      await this.key('t')
      await expect(row).toBeVisible()
      await this.page.keyboard.type(value)
      this.fields += 1
      await this.key('Enter')
      await expect(row).toBeHidden()
    }
  }
  /** The adjusters of a step were turned. */
  async turn(step: string) {
    await this.press(this.page.locator(`[data-step="${step}"]`))
    await this.key('a')
  }
  async confirmStep() {
    await this.key('Enter')
  }

  /** The meter, and the scale that it is read on; both are remembered for the next row. */
  async useScale(quantity: string, meter: string, scale: string) {
    await this.key('g')
    const table = this.page.getByRole('region', { name: 'Type as a table' })
    await table.getByLabel(`instrument for ${quantity}`).first().selectOption({ label: meter })
    await table.getByLabel(`scale for ${quantity}`).first().selectOption({ label: scale })
    this.presses += 1
    await this.key('Escape')
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
        await this.type(table.getByLabel(`${title}, ${quantity}`, { exact: true }), text)
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

  /** A step that stays outside is left so, with the reason. */
  async acceptAsIs(reason: string) {
    await this.key('Enter')
    const dialog = this.page.getByRole('dialog')
    await this.type(dialog.getByLabel('Reason'), reason)
    await this.press(dialog.getByRole('button', { name: /^Accept/ }))
    await expect(dialog).toBeHidden()
  }
}
