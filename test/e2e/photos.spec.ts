import sharp from 'sharp'
import { expect, test } from './bench'

test('photos are taken in, turned, pointed at; what is none is refused in words and can be given up', async ({
  page,
  house,
}) => {
  const id = await house.newJob({ serial: 'PH-1' })
  await page.goto(`${house.address}/jobs/${id}/intake`)
  const strip = page.getByRole('group', { name: 'Photos of the job' })
  const board = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#486' } })
    .jpeg()
    .toBuffer()
  await strip.getByLabel('choose files').setInputFiles([
    { name: 'board.jpg', mimeType: 'image/jpeg', buffer: board },
    { name: 'scan.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('%PDF-1.7\n%%EOF') },
  ])
  await expect(strip.getByText(/scan\.jpg: This is .*whatever its name says/)).toBeVisible()
  await strip.getByRole('button', { name: 'Discard' }).click()
  const thumb = strip.getByRole('button', { name: /photo board\.jpg/ })
  await thumb.click()

  const canvas = page.locator('.canvas canvas').first()
  await expect(canvas).toBeVisible()
  await page.getByRole('button', { name: 'Rotate', exact: true }).click()
  // Turned, a lying picture stands: the stage is drawn anew.
  await expect
    .poll(async () => {
      const at = await canvas.boundingBox()
      return at !== null && at.height > at.width
    })
    .toBe(true)
  const box = (await canvas.boundingBox())!
  await page.mouse.move(box.x + 60, box.y + 60)
  await page.mouse.down()
  await page.mouse.move(box.x + 160, box.y + 200, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByRole('img', { name: 'board.jpg, 1 arrows' })).toBeVisible()
  await page.getByRole('button', { name: /Close/ }).click()
  await expect(strip.getByRole('button', { name: 'photo board.jpg, with arrows, show' })).toBeVisible()

  await page.reload()
  await expect(page.getByRole('button', { name: 'photo board.jpg, with arrows, show' })).toBeVisible()
  const [kept] = (await house.request('GET', `/api/jobs/${id}/attachments`)).body as {
    rotation: number
    arrows: unknown[]
  }[]
  expect([kept!.rotation, kept!.arrows.length]).toEqual([90, 1])
})

test('a starting position is written down before anything is turned', async ({ page, house }) => {
  const id = await house.newJob({ serial: 'SP-1' })
  await page.goto(`${house.address}/jobs/${id}/as-found`)
  await page.getByRole('button', { name: /Starting positions/ }).click()
  await page.getByLabel('position of CT1').fill('10:30 o\u2019clock')
  await page.getByLabel('position of CT1').press('Tab')
  await expect(page.getByRole('button', { name: /Starting positions 1 of/ })).toBeVisible()
})
