import { shallowRef } from 'vue'
import { previewScopeCsv, type ScopePreview } from '#core/recording'
import type { RuleSet } from '#core/rules'
import type { KeptOptions } from '#shared/recording'
import { errorWords } from '#shared/words/messageWords'
import { useSignalsStore } from './signals'
import { recordingsIn } from '../logic/packRecording'
import { useMeasuring } from '../logic/useMeasuring'

type Kept = Parameters<ReturnType<typeof useSignalsStore>['put']>[0]['kept']

/**
 * Recordings taken in, measured and put among those that are open.
 * @param rulesKnown one that is opened with the page is not measured against the mask of another rule set
 */
export function useTaking(rulesOf: (o: KeptOptions) => RuleSet, rulesKnown: () => Promise<void>) {
  const store = useSignalsStore()
  const measuring = useMeasuring()
  const { failure, measure } = measuring
  const asking = shallowRef<{ file: File; preview: ScopePreview } | null>(null)
  let answer: (yes: boolean) => void = () => undefined

  async function take(files: File[]) {
    for (const group of recordingsIn(files)) {
      const table = group.find(f => /\.(csv|txt|tsv)$/i.test(f.name))
      if (table && !(await confirmed(table))) continue
      await run(group, store.options)
    }
  }
  /** A table is shown as it was understood before it is measured. */
  async function confirmed(file: File): Promise<boolean> {
    try {
      const preview = await previewScopeCsv({
        name: file.name,
        size: file.size,
        read: async (from, length) => new Uint8Array(await file.slice(from, from + length).arrayBuffer()),
      })
      return await new Promise(done => {
        answer = done
        asking.value = { file, preview }
      })
    } catch (error) {
      failure.value = errorWords(error)
      return false
    }
  }
  function reply(yes: boolean) {
    asking.value = null
    answer(yes)
  }
  async function run(files: readonly File[], options: KeptOptions, key?: string, kept: Kept = null) {
    await rulesKnown()
    const measured = await measure(files, options, rulesOf(options).mask)
    const name = kept?.name ?? files.find(f => f.name.endsWith('meta'))?.name ?? files[0]!.name
    if (measured) store.put({ name, files, options, measured, kept }, key)
  }
  async function change(options: KeptOptions) {
    store.remember(options)
    if (store.shown) await run(store.shown.files, options, store.shown.key, null)
  }
  async function reopen(id: string) {
    const found = await store.fetchKept(id)
    if (found) await run([found.file], found.kept.options, found.kept.id, found.kept)
  }
  return { ...measuring, asking, take, reply, change, reopen }
}
