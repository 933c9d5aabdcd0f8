import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import type { Job } from '#shared/job'
import { NOBODY } from '#shared/people'

/** An event that was kept in this browser and is on its way to the server. */
export interface OutboxEntry {
  /** counts up: the order in which entries were kept, and in which they are sent */
  readonly key: number
  readonly jobId: string
  readonly event: JobEvent
  /** id of whoever entered it, or that nobody was signed in */
  readonly enteredBy: string
  /** by a trainee */
  readonly byTrainee: boolean
  /** sheet that the screen had it from; null = from none, or kept before it was noted */
  readonly madeBy: string | null
  /** words of a refusal; such an entry is kept until somebody decides */
  readonly refused: string | null
}

/** A job as this browser last knew it, with the revision of the sheet that it began with. */
export interface Snapshot {
  readonly job: Job
  readonly events: JobEvent[]
  readonly sheet: ModelSheet
  /** of the model that the set came as; absent or null = it was not converted */
  readonly found?: ModelSheet | null
}

/** As it lies on disk, where the key has been called `place` since the first version. */
type StoredEntry = Omit<OutboxEntry, 'key' | 'enteredBy' | 'byTrainee' | 'madeBy'> & {
  readonly place?: number
  /** entries of before there was a sign-in have none */
  readonly enteredBy?: string
  readonly byTrainee?: boolean
  readonly madeBy?: string | null
}

interface Schema extends DBSchema {
  outbox: { key: number; value: StoredEntry; indexes: { job: string } }
  snapshot: { key: string; value: Snapshot }
}

let opened: Promise<IDBPDatabase<Schema>> | null = null

function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('diapason', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'place', autoIncrement: true }).createIndex('job', 'jobId')
      db.createObjectStore('snapshot')
    },
  })
  return opened
}

let asked = false
/**
 * A browser short of room may clear what it was not asked to keep. It may refuse: the entry is kept anyway.
 */
function askToPersist() {
  if (asked) return
  asked = true
  // Not known where the connection is not secure, nor to every browser.
  void (navigator.storage as StorageManager | undefined)?.persist?.().catch(() => undefined)
}

// IndexedDB cannot clone Vue's proxies: everything goes in as plain data.
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** Resolves when the event is on disk. @returns its key in the outbox */
export async function keep(
  jobId: string,
  event: JobEvent,
  { enteredBy, byTrainee, madeBy }: Pick<OutboxEntry, 'enteredBy' | 'byTrainee' | 'madeBy'>,
): Promise<number> {
  askToPersist()
  return (await database()).add(
    'outbox',
    plain({ jobId, event, enteredBy, byTrainee, madeBy, refused: null }),
  )
}

export async function waiting(): Promise<OutboxEntry[]> {
  const stored = await (await database()).getAll('outbox')
  return stored.map(({ place, enteredBy = NOBODY, byTrainee = false, madeBy = null, ...entry }) => ({
    ...entry,
    enteredBy,
    byTrainee,
    madeBy,
    key: place!,
  }))
}

export async function drop(key: number): Promise<void> {
  await (await database()).delete('outbox', key)
}

/** @param words null = it is to be sent again */
export async function markRefused({ key, ...entry }: OutboxEntry, words: string | null): Promise<void> {
  await (await database()).put('outbox', plain({ ...entry, place: key, refused: words }))
}

/** The last known state of a job, for when neither server nor database is there. */
export async function saveSnapshot({ job, events, sheet, found = null }: Snapshot): Promise<void> {
  await (await database()).put('snapshot', plain({ job, events, sheet, found }), job.id)
}

export async function loadSnapshot(jobId: string): Promise<Snapshot | null> {
  const found = await (await database()).get('snapshot', jobId)
  // One that an older version of this page kept has no sheet: it is asked for again.
  return found?.sheet ? found : null
}

/** Whoever signs out leaves no job behind in this browser; what waits to be sent stays. */
export async function forgetSnapshots(): Promise<void> {
  await (await database()).clear('snapshot')
}
