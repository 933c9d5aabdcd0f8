import { getDocumentProxy, extractText } from 'unpdf'
import { expect, said, test } from './bench'

/** Rows of the HB-150 as found and as left, typed: CW 120 W, AM at 28 W. */
const ROWS = [
  ['band-3', ['250', '120', '14.20000', '118']],
  ['am-carrier', ['28', '110']],
  ['am-tone', ['112']],
] as const

test(
  'a valve set with AM at 28 W: the owner\u2019s paper speaks of the AM ' +
    'row, of what was not measured, and of the high voltage',
  async ({ page, house }) => {
    test.setTimeout(180_000)
    const id = await house.newJob({
      sheetId: 'quillon-hb150',
      ruleSetId: 'R-AM',
      serial: 'HB-77',
      owner: 'Chapel radio club',
      complaint: 'load it for us',
    })
    for (const stage of ['as-found', 'as-left']) {
      await page.goto(`${house.address}/jobs/${id}/${stage}`)
      for (const [row, values] of ROWS) {
        await page.locator(`[data-row="${row}"]`).click({ position: { x: 60, y: 12 } })
        await page.keyboard.press('t')
        for (const value of values) {
          await page.keyboard.type(value)
          await page.keyboard.press('Enter')
        }
        await expect(said(page)).toContainText('typed readings saved')
      }
    }
    await page.goto(`${house.address}/jobs/${id}/repair`)
    await expect(page.getByRole('note', { name: 'High voltage' })).toContainText('800')
    await page.goto(`${house.address}/jobs/${id}/handover`)
    await expect(page.getByText(/AM: carrier 28(\.0)?\sW max/)).toBeVisible()
    await expect(page.locator('body')).not.toContainText(/carrier 120|Each limit .* is met/)

    const response = await fetch(`${house.address}/api/jobs/${id}/handover.pdf?copy=owner`)
    expect(response.headers.get('content-type')).toContain('pdf')
    const { text } = await extractText(await getDocumentProxy(new Uint8Array(await response.arrayBuffer())), {
      mergePages: true,
    })
    const words = text.replace(/\s+/g, ' ')
    expect(words).toMatch(/AM: carrier 28(\.0)? W max/)
    expect(words).toContain('has not been demonstrated')
    expect(words).toMatch(/Measurement and alignment are not finished/)
    expect(words).not.toMatch(/carrier 120|Leave the limiter|[Ss]oak-tested|Each limit .* is met|polarity/)
  },
)
