import { t } from '#shared/i18n'
import { fileTypeFromBuffer } from 'file-type'
import sharp from 'sharp'
import { ApiError } from '../utils/apiError'

/**
 * Pictures that cameras and screens make. An SVG can carry a script, a PDF is no picture: neither is taken.
 */
const TAKEN: Readonly<Record<string, string>> = {
  'image/jpeg': 'JPEG',
  'image/png': 'PNG',
  'image/webp': 'WebP',
}
/**
 * A small file can claim to be enormous: more pixels than any camera has are refused before they are
 * unpacked.
 */
const MAX_PIXELS = 60_000_000
const LONGEST_EDGE = 2560
const THUMBNAIL_EDGE = 360

export interface Picture {
  readonly data: Buffer
  readonly thumbnail: Buffer
  readonly mime: 'image/jpeg'
  readonly width: number
  readonly height: number
}

/**
 * A picture as it is kept: upright, at most 2560 pixels long, as JPEG, without what the camera wrote about
 * place and time.
 * @throws {ApiError} not-an-image, in words
 */
export async function keptPicture(upload: Buffer): Promise<Picture> {
  const found = await fileTypeFromBuffer(upload)
  if (!found || !TAKEN[found.mime])
    throw refuse(
      t('server.thisIsWhateverItsNameSays', {
        what: found ? t('server.aFile', { ext: found.ext.toUpperCase() }) : t('server.notAPicture'),
      }),
    )
  try {
    const upright = sharp(upload, { limitInputPixels: MAX_PIXELS, failOn: 'error' }).rotate()
    const { data, info } = await upright
      .clone()
      .resize({ width: LONGEST_EDGE, height: LONGEST_EDGE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#fff' })
      .jpeg({ quality: 84, mozjpeg: true })
      .toBuffer({ resolveWithObject: true })
    const thumbnail = await sharp(data)
      .resize({ width: THUMBNAIL_EDGE, height: THUMBNAIL_EDGE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 78 })
      .toBuffer()
    return { data, thumbnail, mime: 'image/jpeg', width: info.width, height: info.height }
  } catch (error) {
    const words = error instanceof Error ? error.message : ''
    if (/pixel limit/i.test(words)) throw refuse(t('server.thisPictureHasMoreThan60'))
    throw refuse(t('server.thisFileIsDamagedAndCannot', { taken: TAKEN[found.mime] }))
  }
}

function refuse(words: string): ApiError {
  return new ApiError(415, 'not-an-image', words, 'file')
}
