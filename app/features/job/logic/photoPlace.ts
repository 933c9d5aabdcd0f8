import type { Arrow, Attachment } from '#shared/attachment'

/** Where a picture lies on a stage: its own size as drawn, before it is turned, and the stage around it. */
export interface PhotoPlace {
  readonly width: number
  readonly height: number
  readonly stageWidth: number
  readonly stageHeight: number
}

/** A picture turned by quarters, as large as it fits. */
export function fitted(
  photo: { width: number; height: number; rotation: Attachment['rotation'] },
  maxWidth: number,
  maxHeight: number,
): PhotoPlace {
  const lies = photo.rotation % 180 !== 0
  const [w, h] = lies ? [photo.height, photo.width] : [photo.width, photo.height]
  const scale = Math.min(maxWidth / w, maxHeight / h)
  return {
    width: photo.width * scale,
    height: photo.height * scale,
    stageWidth: w * scale,
    stageHeight: h * scale,
  }
}

/** Tail and head in the picture's own pixels as drawn. */
export function arrowPoints(arrow: Arrow, { width, height }: Pick<PhotoPlace, 'width' | 'height'>): number[] {
  return [arrow.x1 * width, arrow.y1 * height, arrow.x2 * width, arrow.y2 * height]
}
