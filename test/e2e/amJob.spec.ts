import { extractText, getDocumentProxy } from 'unpdf'
import { expect, test } from './bench'
import { OSMUND_40A } from '../../core/sheet/osmund40a/sheet'

/**
 * An AM mobile whose owner says "under 3 W": looked at, measured by typing, explained, mended, handed over on
 * paper.
 */
const READ: Record<string, string[]> = {
  'vco': ['2.2'],
  'carrier-1': ['26.96476', '3.8', '13.8', '1.16'],
  'carrier-19': ['27.184755', '3.9', '13.8', '1.18'],
  'carrier-40': ['27.40475', '3.85', '13.8', '1.17'],
  'tone-1': ['124', '100', '18.9', '6.6'],
  'tone-19': ['125', '100', '19.7', '6.8'],
  'tone-40': ['124', '100', '19.3', '6.7'],
  'level-down': ['63'],
  'level-up': ['100'],
  'level-top': ['100'],
  'purity': ['-31', '-64'],
  'panel': ['2.8'],
  'threshold': ['0.6'],
  'sinad': ['11'],
  'sinad-lower': ['4'],
  's9': ['9'],
}

test('an AM mobile under 3 W on its owner\u2019s meter, from intake to the paper', async ({
  page,
  house,
}) => {
  test.setTimeout(300_000)
  const id = await house.newJob({
    sheetId: 'osmund-40a',
    ruleSetId: 'R-EU',
    serial: '7799',
    owner: 'Quarry lorry 9',
    complaint: 'under 3 W',
    claims: [
      {
        id: '00000000-0000-4000-8000-0000000000aa',
        quantity: 'powerW',
        kind: 'under',
        value: 3,
        meter: 'cross-needle',
      },
    ],
  })
  const stage = (name: string) =>
    page.getByRole('navigation', { name: 'Job phases' }).getByRole('link', { name })

  await test.step('first power and inspection', async () => {
    await page.goto(`${house.address}/jobs/${id}/inspection`)
    await page.getByLabel('Idle current').fill('0,31')
    await page.getByRole('button', { name: 'Normal' }).click()
    await expect(page.getByText('Continue: the set may stay on.')).toBeVisible()
    await page
      .getByRole('group', { name: 'Modulation limiter parts' })
      .getByRole('button', { name: 'Defect' })
      .click()
    await page.getByLabel('note on Modulation limiter parts').fill('transistor clipped out')
    await page.getByRole('button', { name: 'Mark the rest OK' }).click()
    await expect(page.getByText(/(\d+) of \1 checked/)).toBeVisible()
    await page.getByLabel('Then').fill('look at the turns of L8')
    await page.getByRole('button', { name: 'Add reminder' }).click()
    await expect(
      page.getByText(/adjacent channels or harmonics are outside their limits, look at the turns/),
    ).toBeVisible()
  })

  await test.step('as found, typed; not complete without the receiver', async () => {
    await stage('As found').click()
    for (const point of OSMUND_40A.matrix.filter(p => !p.isOptional)) {
      await page.locator(`[data-row="${point.id}"]`).click({ position: { x: 60, y: 12 } })
      await page.keyboard.press('t')
      for (const value of READ[point.id]!) {
        await page.keyboard.type(value)
        await page.keyboard.press('Enter')
      }
      await expect(page.locator('.said[role=status]')).toContainText(`${point.title}: typed readings saved`)
      if (point.id === 'panel') await expect(page.getByText('receiver not measured')).toBeVisible()
    }
    await expect(page.getByText('receiver not measured')).toHaveCount(0)
    await expect(page.getByText('contradicted')).toBeVisible()
  })

  await test.step('findings: the limiter, proved by looking', async () => {
    await stage('Findings').click()
    const modulation = page.getByRole('region', { name: 'Modulation' })
    await expect(modulation.getByRole('listitem').first()).toContainText('Modulation limiter removed or open')
    // The inspection has seen it: it is not asked again.
    await expect(modulation.getByRole('button', { name: 'clipped out or missing' })).toHaveCount(0)
    await modulation
      .getByRole('button', { name: /Modulation limiter removed or open/ })
      .first()
      .click()
    await expect(modulation.getByText('answered by hand')).toBeVisible()
    await modulation.getByRole('button', { name: 'Confirm cause…' }).click()
    await page.getByLabel('Evidence').fill('the transistor is not there')
    await page.getByRole('button', { name: /^Confirm cause Ctrl/ }).click()
    await expect(page.getByRole('region', { name: 'Work to do' })).toContainText('Refit the parts')
  })

  await test.step('repair: asked, answered, done', async () => {
    await stage('Repair').click()
    const add = page.getByRole('region', { name: 'Add an entry' })
    await add.getByRole('button', { name: 'Question' }).click()
    await page.getByLabel('Ask the owner').fill('May a trimmer be fitted?')
    await page.getByRole('button', { name: 'Ask', exact: true }).click()
    await page.getByRole('button', { name: 'No', exact: true }).click()
    await expect(page.getByText('May a trimmer be fitted?')).toBeVisible()
    await add.getByRole('button', { name: 'Work done' }).click()
    await page.getByRole('combobox', { name: 'Work done' }).fill('limiter parts refitted')
    await page.keyboard.press('Escape')
    await add.getByRole('button', { name: 'Add' }).click()
    await expect(page.locator('.log li').first()).toContainText('limiter parts refitted')
  })

  await test.step('handover: the reminder has come up, the paper says it in words', async () => {
    await stage('Handover').click()
    await expect(page.getByText('look at the turns of L8')).toBeVisible()
    await page.getByRole('button', { name: 'Hand over' }).first().click()
    await page.getByLabel('Explained to the owner').fill('his meter reads low; the limiter was missing')
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /Hand over/ })
      .click()
    await expect(page.getByRole('region', { name: 'Reports' })).toContainText(/Issue 1 of.*SHA-256/)
    const href = await page.getByRole('link', { name: "Owner's copy (PDF)" }).first().getAttribute('href')
    const bytes = new Uint8Array(await (await fetch(house.address + href)).arrayBuffer())
    const { text } = await extractText(await getDocumentProxy(bytes), { mergePages: true })
    const words = text.replace(/\s+/g, ' ')
    expect(words).toMatch(/contradicted: .*under 3/)
    expect(words).toContain('Found: Modulation limiter removed or open.')
    expect(words).toContain('Limiter parts refitted.')
    expect(words).toContain('his meter reads low')
  })
})
