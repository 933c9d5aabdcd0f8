import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { computed, ref, shallowRef } from 'vue'
import type { Attachment, AttachmentKind, AttachmentPatch } from '#shared/attachment'
import { failureOf, type Failure } from '~/data/failureWords'
import type { Upload } from '../logic/upload'

/** Photos and voice notes of the open job. */
export const useAttachmentsStore = defineStore('attachments', () => {
  const jobId = ref<string | null>(null)
  const items = shallowRef<Attachment[]>([])
  const uploads = shallowRef<Upload[]>([])
  /** put aside since the page was opened, the last one last: it can be brought back */
  const aside = shallowRef<Attachment[]>([])
  const requests = new Map<string, XMLHttpRequest>()
  const photos = computed(() => items.value.filter(a => a.kind === 'photo'))

  async function open(id: string) {
    if (jobId.value !== id) items.value = aside.value = []
    jobId.value = id
    items.value = await $api<Attachment[]>(`/api/jobs/${id}/attachments`).catch(() => items.value)
  }

  function add(kind: AttachmentKind, about: string, file: Blob, name: string) {
    const upload: Upload = { id: uuid(), kind, about, name, file, share: 0, failure: null }
    uploads.value = [...uploads.value, upload]
    send(upload)
  }

  function send(upload: Upload) {
    const change = (part: Partial<Upload>) =>
      (uploads.value = uploads.value.map(u => (u.id === upload.id ? { ...u, ...part } : u)))
    const query = new URLSearchParams({
      id: upload.id,
      kind: upload.kind,
      about: upload.about,
      name: upload.name.slice(0, 200),
    })
    // fetch tells nothing of an upload's progress; XMLHttpRequest does.
    const request = new XMLHttpRequest()
    requests.set(upload.id, request)
    change({ failure: null, share: 0 })
    request.upload.onprogress = e => e.lengthComputable && change({ share: e.loaded / e.total })
    request.onloadend = () => {
      requests.delete(upload.id)
      if (request.status === 201) {
        uploads.value = uploads.value.filter(u => u.id !== upload.id)
        items.value = [...items.value, JSON.parse(request.responseText) as Attachment]
      } else if (uploads.value.some(u => u.id === upload.id))
        change({
          failure: failureOf(
            request.status === 0 ? {} : { statusCode: request.status, data: parsed(request.responseText) },
          ),
        })
    }
    request.open('POST', `/api/jobs/${jobId.value}/attachments?${query}`)
    request.send(upload.file)
  }

  const again = (id: string) => send(uploads.value.find(u => u.id === id)!)

  function giveUp(id: string) {
    uploads.value = uploads.value.filter(u => u.id !== id)
    requests.get(id)?.abort()
  }

  async function change(
    attachment: Attachment,
    patch: Omit<AttachmentPatch, 'version'>,
  ): Promise<Failure | null> {
    try {
      const changed = await $api<Attachment>(`/api/attachments/${attachment.id}`, {
        method: 'PATCH',
        body: { ...patch, version: attachment.version },
      })
      const rest = items.value.filter(a => a.id !== changed.id)
      if (patch.putAside === undefined)
        items.value = items.value.map(a => (a.id === changed.id ? changed : a))
      else {
        items.value = patch.putAside ? rest : [...rest, changed]
        const others = aside.value.filter(a => a.id !== changed.id)
        aside.value = patch.putAside ? [...others, changed] : others
      }
      return null
    } catch (error) {
      if (jobId.value) await open(jobId.value)
      return failureOf(error)
    }
  }

  return { items, aside, photos, uploads, open, add, again, giveUp, change }
})

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
