import { t } from '#shared/i18n'
import { array, number, object, string, uuid, type InferType } from '#shared/yup'
import type { OfPlan } from '#core/rules'
import type { FieldChange, ModelSheet, SetKind } from '#core/sheet'
import { closed } from './sheet/fields'

/** The exchange format of one sheet: docs/formats/model-sheet.schema.json describes it. */
export const SHEET_FILE_FORMAT = 'diapason-model-sheet'
export const SHEET_FILE_VERSION = 1

/** A revision as it travels: the whole sheet, with who changed it and why. */
export interface SheetRevision {
  readonly sheet: ModelSheet
  readonly who: string
  readonly reason: string
  readonly changes: readonly FieldChange[]
  readonly revisedAtMs: number
}

export interface SheetFile {
  readonly format: typeof SHEET_FILE_FORMAT
  readonly version: typeof SHEET_FILE_VERSION
  readonly revisions: readonly SheetRevision[]
  /** photos of its boards, base64 */
  readonly pictures: readonly {
    readonly id: string
    readonly mime: string
    readonly width: number
    readonly height: number
    readonly data: string
  }[]
}

/** The outer form of a file; every sheet in it is checked by its own schema. */
export const sheetFileBody = closed({
  format: string()
    .oneOf([SHEET_FILE_FORMAT], () => t('form.thisIsNotAServiceSheet'))
    .required(),
  version: number()
    .oneOf([SHEET_FILE_VERSION], () => t('form.thisFileIsFromANewer'))
    .required(),
  revisions: array(
    closed({
      sheet: object().required(),
      who: string().max(60).defined(),
      reason: string().max(10_000).defined(),
      changes: array().max(200).defined(),
      revisedAtMs: number().min(0).max(8.64e15).required(),
    }).required(),
  )
    .min(1)
    .max(500)
    .required(),
  pictures: array(
    closed({
      id: uuid(),
      mime: string().oneOf(['image/jpeg']).required(),
      width: number().integer().positive().required(),
      height: number().integer().positive().required(),
      data: string().max(12_000_000).required(),
    }).required(),
  )
    .max(10)
    .defined(),
})
export type SheetFileBody = InferType<typeof sheetFileBody>

/** One row of the list of sheets. */
export interface SheetSummary extends OfPlan {
  readonly id: string
  readonly model: string
  readonly kind: SetKind
  readonly description: string
  readonly defaultRuleSetId: string
  readonly revision: number
  readonly revisedOn: string
  readonly adjusters: number
  readonly steps: number
  /** ships with the application; its corrections are kept here all the same */
  readonly shipped: boolean
  readonly jobs: number
}

export interface RevisionInfo {
  readonly revision: number
  readonly who: string
  readonly reason: string
  readonly changes: readonly FieldChange[]
  readonly revisedAtMs: number | null
  readonly jobNumber: number | null
  readonly jobId: string | null
}

/** How often a field was found right since it was last corrected. */
export interface FieldTrust {
  /** of the field */
  readonly path: string
  readonly correctedAtMs: number | null
  readonly confirmed: number
  readonly lastConfirmedAtMs: number | null
}

/** A sheet with what is known of it. */
export interface SheetView {
  readonly sheet: ModelSheet
  readonly newest: number
  readonly shipped: boolean
  readonly revisions: readonly RevisionInfo[]
  readonly trust: readonly FieldTrust[]
}
