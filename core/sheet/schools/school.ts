/**
 * A question on which practitioners differ, each side with its reason; the first reasoned default, the shop
 * may choose (common practice).
 */
export interface School {
  readonly id: string
  readonly question: string
  readonly options: readonly { readonly id: string; readonly words: string }[]
  readonly defaultId: string
  /** why the default is what it is, or when another is taken all the same */
  readonly because: string
  /**
   * true: the choice changes steps and targets of new jobs; false: it is shown where it matters and decides
   * nothing by itself
   */
  readonly acts: boolean
}

/** Choices that differ from the defaults: school -> option. */
export type SchoolChoices = Readonly<Record<string, string>>
