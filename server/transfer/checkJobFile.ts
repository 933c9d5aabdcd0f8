import { createHash } from 'node:crypto'
import { array } from '#shared/yup'
import { arrowSchema } from '#shared/attachment'
import { intakeBody, type Job } from '#shared/job'
import { newRecordingBody } from '#shared/recording'
import { brokenChain, unreadable } from '../check/checkEntries'
import type { Row } from '../db/queries/transfer'
import { bytesName, listed, paperName, thumbnailName, type JobFile, type Manifest } from './archive'

/** What is served as what it says it is: pictures as we keep them, and what a browser's recorder makes. */
const MIMES = /^(image\/(jpeg|png|webp)|audio\/[\w.+-]+)$/

/** What is wrong with a job of an archive, in words; empty = it can be taken in. */
export async function problemsOfJob(folder: string, manifest: Manifest, file: JobFile): Promise<string[]> {
  const problems: (string | null)[] = [await refusal(() => intakeBody.validate(intakeOf(file.job)))]
  for (const { event } of file.entries) problems.push(await unreadable(event))
  const chains = file.entries.map(({ event, chain }) => ({
    id: event.id,
    chain: chain === null ? null : Buffer.from(chain, 'hex'),
  }))
  problems.push(...brokenChain(chains, eventsOf(file)).broken)
  const { rows } = file
  for (const { number, record, checksum } of rows.handover_issue ?? [])
    if (createHash('sha256').update(String(record)).digest('hex') !== checksum)
      problems.push(`handover ${String(number)} is not the record that was frozen`)
  if (Object.values(rows).some(of => of.some(row => row.jobId !== file.job.id)))
    problems.push('something in it belongs to another job')
  problems.push(...(await problemsOfFiles(folder, manifest, rows)))
  return problems.filter(p => p !== null)
}

/** What is wrong with photos, voice notes, recordings and papers. */
export async function problemsOfFiles(
  folder: string,
  manifest: Manifest,
  rows: JobFile['rows'],
): Promise<string[]> {
  const problems: (string | null)[] = []
  const whole = (name: string, checksum?: unknown) =>
    refusal(() => {
      listed(folder, manifest, name)
      if (checksum !== undefined && manifest.files[name] !== checksum)
        throw new Error(`${name} is not what its job says`)
    })
  for (const a of rows.attachment ?? []) {
    problems.push(await whole(bytesName('attachment', a.id), a.checksum))
    problems.push(await refusal(() => array(arrowSchema.required()).validate(a.arrows, { strict: true })))
    if (!MIMES.test(String(a.mime))) problems.push(`${String(a.mime)} is nothing that is kept of a job`)
  }
  for (const r of rows.recording ?? []) {
    problems.push(await whole(bytesName('recording', r.id), r.checksum))
    const { id, jobId, name, bytes, options, measurement, phase, pointId } = r
    const begun = { id, jobId, name, bytes, options, measurement, phase, pointId }
    problems.push(await refusal(() => newRecordingBody.validate(begun, { strict: true })))
  }
  for (const { jobId, number } of rows.handover_paper ?? [])
    problems.push(await whole(paperName(jobId, number)))
  return problems.filter(p => p !== null)
}

export const thumbnailOf = (manifest: Manifest, id: unknown): string | null =>
  Object.hasOwn(manifest.files, thumbnailName(id)) ? thumbnailName(id) : null

export const eventsOf = (file: JobFile) => file.entries.map(e => e.event)

/** The fields of a job that were typed at its intake. */
export function intakeOf(job: Row): Pick<Job, keyof typeof intakeBody.fields> {
  const fields = Object.keys(intakeBody.fields).filter(f => f in job)
  return Object.fromEntries(fields.map(f => [f, job[f]])) as unknown as Job
}

/** Why something is refused, in the words of the refusal; null = it is not. */
async function refusal(look: () => unknown): Promise<string | null> {
  try {
    await look()
    return null
  } catch (error) {
    return error instanceof Error ? error.message : String(error)
  }
}
