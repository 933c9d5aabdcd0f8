import type { FetchOptions } from 'ofetch'
import type { WireError } from '#shared/errors'
import { signInNeeded } from './whoIsHere'

/** Somebody has to sign in, or another tab of this browser has signed somebody else in. */
const NOT_WHO_IT_WAS: ReadonlySet<string | undefined> = new Set(['sign-in-needed', 'other-person'])

/** A read that takes longer is given up [ms]. */
const READ_WITHIN_MS = 8000
/** A change may wait longer: giving up would leave open whether it was kept [ms]. */
const WRITE_WITHIN_MS = 60_000
/** What failed in passing is tried once more after this [ms]. */
const AGAIN_AFTER_MS = 300

export interface ApiOptions extends Pick<
  FetchOptions<'json'>,
  'method' | 'body' | 'query' | 'headers' | 'timeout' | 'signal'
> {
  /** a change that does no more when it arrives twice: it is tried again, like a read */
  readonly repeatable?: boolean
}

/**
 * The one road to the server. Reads are tried twice; a change is sent once unless its sender says that it may
 * be repeated. What is thrown is read by `failureOf`.
 */
export function $api<T = unknown>(path: string, options: ApiOptions = {}): Promise<T> {
  // The types that Nuxt makes of every route take the compiler too deep; each caller names what it gets.
  return $fetch<T>(path, withDefaults(options) as object) as Promise<T>
}

/** As `$api`, for a file: its bytes and the head of the answer. */
export async function $apiFile(path: string): Promise<{ bytes: ArrayBuffer; headers: Headers }> {
  const answer = await $fetch.raw(path, { ...withDefaults({}), responseType: 'arrayBuffer' } as object)
  return { bytes: answer._data as unknown as ArrayBuffer, headers: answer.headers }
}

function withDefaults({ repeatable, ...options }: ApiOptions) {
  const reads = (options.method ?? 'GET') === 'GET'
  return {
    timeout: reads ? READ_WITHIN_MS : WRITE_WITHIN_MS,
    ...options,
    retry: reads || repeatable ? 1 : 0,
    retryDelay: AGAIN_AFTER_MS,
    onResponseError: ({ response }: { response: { _data?: { data?: WireError } } }) => {
      if (NOT_WHO_IT_WAS.has(response._data?.data?.code)) signInNeeded.value = true
    },
  }
}
