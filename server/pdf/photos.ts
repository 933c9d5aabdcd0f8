import sharp from 'sharp'
import type { Arrow, Attachment } from '#shared/attachment'
import { pool } from '../db/pool'
import { readChunks, selectAttachments } from '../db/queries/attachment'

/** A photo as it stands on paper: turned, with its arrows. */
export interface PaperPhoto {
  readonly name: string
  readonly about: string
  readonly dataUrl: string
}

/** More photos than this make a paper that nobody reads; the others stay on the job. */
export const MAX_ON_PAPER = 12
const LONGEST_EDGE = 900

/** The photos of a job, the oldest first, made small enough for paper one after the other. */
export async function paperPhotos(jobId: string): Promise<PaperPhoto[]> {
  const photos = (await selectAttachments(pool, jobId)).filter(a => a.kind === 'photo').slice(0, MAX_ON_PAPER)
  const made: PaperPhoto[] = []
  for (const photo of photos) made.push({ name: photo.name, about: photo.about, dataUrl: await drawn(photo) })
  return made
}

async function drawn(photo: Attachment): Promise<string> {
  const chunks: Buffer[] = []
  for await (const chunk of readChunks(pool, photo.id)) chunks.push(chunk)
  const small = await sharp(Buffer.concat(chunks))
    .resize({ width: LONGEST_EDGE, height: LONGEST_EDGE, fit: 'inside', withoutEnlargement: true })
    .toBuffer({ resolveWithObject: true })
  const marked = await sharp(small.data)
    .composite([{ input: arrowsSvg(photo.arrows, small.info.width, small.info.height) }])
    .toBuffer()
  const data = await sharp(marked).rotate(photo.rotation).jpeg({ quality: 80 }).toBuffer()
  return `data:image/jpeg;base64,${data.toString('base64')}`
}

/** Arrows with a white rim, so that they show on anything. */
function arrowsSvg(arrows: readonly Arrow[], width: number, height: number): Buffer {
  const line = (a: Arrow, colour: string, stroke: number) => {
    const [x1, y1, x2, y2] = [a.x1 * width, a.y1 * height, a.x2 * width, a.y2 * height]
    const angle = Math.atan2(y2 - y1, x2 - x1)
    const wing = (turn: number) => `${x2 - 22 * Math.cos(angle + turn)},${y2 - 22 * Math.sin(angle + turn)}`
    return (
      `<path d="M${x1},${y1} L${x2},${y2} M${wing(0.45)} L${x2},${y2} L${wing(-0.45)}" fill="none" ` +
      `stroke="${colour}" stroke-width="${stroke}" stroke-linecap="round" stroke-linejoin="round"/>`
    )
  }
  const drawn = arrows.map(a => line(a, '#ffffff', 10) + line(a, '#c01010', 5)).join('')
  return Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${drawn}</svg>`,
  )
}
