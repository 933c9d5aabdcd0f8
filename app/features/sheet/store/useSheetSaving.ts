import { ref } from 'vue'
import type { BoardSide, ModelSheet } from '#core/sheet'
import { t } from '#shared/i18n'
import { sheetProblemWords } from '#shared/words/sheetWords'
import { useWho } from '~/features/job/logic/useWho'
import type { useSheetDraft } from '../logic/useSheetDraft'
import { useSheetsStore } from './sheets'

type Say = (text: string, kind?: 'ok' | 'problem') => void

/** A draft on its way to the server, as a new sheet or a revision; pictures of its boards go ahead of it. */
export function useSheetSaving(draft: ReturnType<typeof useSheetDraft>, isNew: boolean, say: Say) {
  const store = useSheetsStore()
  const who = useWho()
  const reason = ref('')
  const saving = ref(false)
  const uploading = ref(false)

  /** What has to be put right or said before. */
  function obstacle(): string | null {
    if (draft.conflicts.value.length > 0) return t('sheet.decideEachFieldThatBothChanged')
    if (draft.problems.value.length > 0) return sheetProblemWords(draft.problems.value[0]!)
    return !isNew && reason.value.trim() === '' ? t('sheet.giveAShortReasonForThe') : null
  }
  /** @returns the sheet as it was saved, or null: said why */
  async function save(): Promise<ModelSheet | null> {
    const before = obstacle()
    if (before !== null) {
      say(before, 'problem')
      return null
    }
    const sheet = draft.draft.value!
    const by = who.value.trim()
    const why = reason.value.trim()
    saving.value = true
    const saved = isNew
      ? await store.add(sheet, by, why)
      : await store.revise(sheet, draft.start.value!.revision, by, why)
    saving.value = false
    if (saved) draft.forget()
    else {
      say(store.failure!.words, 'problem')
      if (store.failure!.code === 'changed-meanwhile') await putTogether(sheet.id)
    }
    return saved
  }
  /** Somebody saved a revision meanwhile: what was written here is put together with it. */
  async function putTogether(sheetId: string) {
    const newest = (await store.view(sheetId))?.sheet
    if (newest) draft.begin(newest)
  }
  async function addPhoto(file: File, side: BoardSide) {
    uploading.value = true
    const kept = await store.keepPicture(file)
    uploading.value = false
    if (!kept) return say(store.failure!.words, 'problem')
    draft.change({
      boards: [
        ...(draft.draft.value!.boards ?? []).filter(b => b.side !== side),
        { side, drawing: null, pictureId: kept.id },
      ],
    })
  }
  return { who, reason, saving, uploading, save, addPhoto }
}
